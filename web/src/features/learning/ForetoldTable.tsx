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
              <th>unlearned, mL</th>
              <th>foretold, mL</th>
              <th>came out, mL</th>
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
                <td>{format.day(b.at)}</td>
                <td>{Math.round(b.uncalibrated)}</td>
                <td>
                  {Math.round(b.predicted)} ({Math.round(b.low)} to {Math.round(b.high)})
                </td>
                <td>
                  {Math.round(b.real)}
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
