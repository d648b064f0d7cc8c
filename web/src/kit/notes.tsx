import { Button } from '@mantine/core';
import { Notifications, notifications } from '@mantine/notifications';
import { ProblemError } from '../api/client';

/** Where notes at the edge of the screen appear: above the worktop, never over title or verbs. */
export default function Notes() {
  return <Notifications position="bottom-right" />;
}

/** What the server said of a request. */
export function showProblem(error: unknown) {
  notifications.show({
    color: 'madder',
    title: error instanceof ProblemError && error.offline ? 'No answer' : 'Not done',
    message: error instanceof Error ? error.message : 'Something went wrong.',
    closeButtonProps: { 'aria-label': 'Close this message' },
    autoClose: 8000,
  });
}

/** Something done that can be taken back. */
export function showDone(message: string, undo: () => void) {
  const id = notifications.show({
    title: message,
    message: (
      <Button
        size="compact-md"
        variant="outline"
        onClick={() => {
          notifications.hide(id);
          undo();
        }}
      >
        Undo
      </Button>
    ),
    closeButtonProps: { 'aria-label': 'Close this message' },
    autoClose: 12000,
  });
}
