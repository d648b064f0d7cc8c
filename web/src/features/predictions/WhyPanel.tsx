import { Button, Modal } from '@mantine/core';
import { Link } from 'react-router';
import type { Prediction } from '../../api/client';
import { useHandbook } from '../../api/queries';
import { figure } from '../../kit/format';
import { figureWords } from '../../kit/figures';

const UNIT: Record<string, string> = {
  bottled: 'mL',
  held: 'g',
  steam: 'g',
  cloth: 'g',
  time: 'min',
  strength: '%',
  alcohol: '% vol',
  thickness: 'mPa·s',
  keeps: 'h',
};

interface Props {
  result: string;
  prediction: Prediction;
  onClose: () => void;
}

/** The reasons behind a figure: equation in words, what moves it, ranges and sources. */
export function WhyPanel({ result, prediction, onClose }: Props) {
  const handbook = useHandbook();
  const told = handbook.data?.explained.find((e) => e.result === result);
  const moves = prediction.influences.filter((i) => i.result === result);
  const unit = UNIT[result] ?? '';
  const title = told?.title ?? 'Why';
  return (
    <Modal.Root opened onClose={onClose} size="lg">
      <Modal.Overlay />
      <Modal.Content aria-label={title}>
        <Modal.Body>
          <div className="stack">
            <div className="beside-end">
              <h2>{title}</h2>
              <Button variant="subtle" onClick={onClose}>
                Close
              </Button>
            </div>
            <p>{told?.words}</p>
            {told?.source && <p className="soft small">{told.source}</p>}
            {moves.length > 0 && <h3>What moves it most</h3>}
            <ul className="lines">
              {moves.map((m) => (
                <li key={m.what}>
                  <b>{m.what}</b>
                  <p className="small">{figureWords(m.figure)}</p>
                  <p className="soft small">
                    From its low to its high: {figure(m.atLow)} to {figure(m.atHigh)} {unit}
                  </p>
                </li>
              ))}
            </ul>
            <p>
              <Link to={`/learn?find=${encodeURIComponent(title)}`}>In the handbook</Link>
            </p>
          </div>
        </Modal.Body>
      </Modal.Content>
    </Modal.Root>
  );
}
