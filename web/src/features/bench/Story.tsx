import type { Run } from '../../api/client';
import { duration, figure, type Format } from '../../kit/format';
import './bench.css';

/** The steps, done and to come, and what happened to the batch. */
export function Story({ run, format }: { run: Run; format: Format }) {
  return (
    <section>
      <h2>Step by step</h2>
      <ol className="done-list">
        {run.prediction.steps.map((step) => {
          const record = run.done[step.index];
          const ended = record?.endedAt;
          const mark = ended
            ? '✓'
            : step.index === run.step && run.status === 'RUNNING'
              ? '▸'
              : '·';
          return (
            <li key={step.index}>
              <span aria-hidden="true">{mark}</span>
              <span>
                <span className={mark === '▸' ? 'strong' : ''}>{step.headline}</span>
                {record?.timing === 'EARLY' && ' – early'}
                {record?.timing === 'LATE' && ' – late'}
                {record?.cueSeen && ended && ' – cue seen'}
                {record?.readings.VOLUME != null && ` – ${figure(record.readings.VOLUME)} mL`}
                {record?.note && <span className="soft"> “{record.note}”</span>}
              </span>
              <span className="soft small">
                {ended ? format.clock(ended) : `${duration(step.endMinute - step.startMinute)}`}
              </span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
