import { NumberInput, Slider } from '@mantine/core';
import './predictions.css';

interface Props {
  label: string;
  value: number | string;
  range: [number, number];
  step: number;
  /** Wide ranges are dragged on a scale that gives small values room. */
  logarithmic?: boolean;
  onChange: (value: number | string) => void;
  error?: string;
}

/** A number that is dragged, moved by keys, or typed. */
export function Dial({ label, value, range, step, logarithmic, onChange, error }: Props) {
  const [low, high] = range;
  const to = (v: number) => (logarithmic ? Math.log(Math.max(v, low)) : v);
  const from = (v: number) => {
    const plain = logarithmic ? Math.exp(v) : v;
    return Number((Math.round(plain / step) * step).toPrecision(6));
  };
  const now = Number(value);
  return (
    <div className="dial">
      <Slider
        label={null}
        thumbLabel={label}
        min={to(low)}
        max={to(high)}
        step={logarithmic ? (to(high) - to(low)) / 200 : step}
        value={to(Number.isFinite(now) && now > 0 ? now : low)}
        onChange={(v) => onChange(from(v))}
        size="lg"
        thumbSize={26}
      />
      <NumberInput aria-label={label} w={110} value={value} onChange={onChange} error={error} />
    </div>
  );
}
