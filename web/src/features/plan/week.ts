/** The days of a week, as they are asked for. */
export const WEEK = [
  { day: 'MONDAY', words: 'Monday' },
  { day: 'TUESDAY', words: 'Tuesday' },
  { day: 'WEDNESDAY', words: 'Wednesday' },
  { day: 'THURSDAY', words: 'Thursday' },
  { day: 'FRIDAY', words: 'Friday' },
  { day: 'SATURDAY', words: 'Saturday' },
  { day: 'SUNDAY', words: 'Sunday' },
] as const;
