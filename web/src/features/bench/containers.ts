import type { Container } from '../../api/client';

export const CONTAINERS: { value: Container; label: string }[] = [
  { value: 'SPRAY', label: 'Spray bottle' },
  { value: 'TRIGGER', label: 'Trigger bottle' },
  { value: 'APPLICATOR', label: 'Applicator' },
  { value: 'JAR', label: 'Jar' },
  { value: 'CUBES', label: 'Ice-cube tray' },
];
