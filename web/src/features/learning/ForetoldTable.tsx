import { Link } from 'react-router';
import type { ForetoldBatch } from '../../api/client';
import type { Format } from '../../kit/format';

/** The same in numbers, the newest first. */
export function ForetoldTable({ batches, format }: { batches: ForetoldBatch[]; format: Format }) {
  return (
    <details className="above">
      <summary>In numbers</summary>
      <div className="wide-table">
        <table className="compared">
          <thead>
            <tr>
              <td />
              <th>bottled</th>
              <th>unlearned</th>
              <th>foretold</th>
              <th>came out</th>
            </tr>
          </thead>
          <tbody>
            {[...batches].reverse().map((b) => (
              <tr key={b.id}>
                <th scope="row">
                  <Link to={`/brew/${b.id}`}>
                    {b.code}, {b.name}
                  </Link>
                </th>
                <td>{format.day(format.dateOf(b.at))}</td>
                <td>{format.ml(b.uncalibrated)}</td>
                <td>
                  {format.ml(b.predicted)} ({format.ml(b.low)} to {format.ml(b.high)})
                </td>
                <td>
                  {format.ml(b.real)}
                  {b.standing !== 'COUNTS' && ' · does not count'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
