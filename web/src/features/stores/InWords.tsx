import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { api, ask, ProblemError } from '../../api/client';

/** What and how much in a maker's words, read by the reader of notes: "3 bunches of dried sage". */
export function InWords({ onRead }: { onRead: (material: string, grams: number) => void }) {
  const [text, setText] = useState('');
  const [answer, setAnswer] = useState('');
  const [error, setError] = useState<string>();
  const read = async () => {
    if (!text.trim()) return;
    setAnswer('');
    try {
      const said = await ask(api.POST('/api/notes/read', { body: { text } }));
      const thing = said.ingredients[0];
      const line = said.formula?.ingredients[0];
      if (!thing || !thing.amount || line?.parts == null) {
        setError('Say what and how much, such as 200 g dried sage.');
        return;
      }
      if (said.newMaterials.length > 0) {
        setError(`${thing.name} is not known here. Write it down under Materials first.`);
        return;
      }
      setError(undefined);
      setAnswer(`${thing.amount}, ${thing.name}${said.guesses > 0 ? ': is that right?' : ''}`);
      onRead(thing.material, Number(line.parts.toPrecision(4)));
    } catch (e) {
      setError(e instanceof ProblemError ? e.message : 'That could not be read.');
    }
  };
  return (
    <TextInput
      label="In words"
      placeholder="200 g dried sage"
      description={answer || 'Fills in what and how much.'}
      inputWrapperOrder={['label', 'input', 'description', 'error']}
      value={text}
      maxLength={200}
      onChange={(e) => setText(e.currentTarget.value)}
      onBlur={() => void read()}
      onKeyDown={(e) => {
        if (e.key === 'Enter') {
          e.preventDefault();
          void read();
        }
      }}
      error={error}
    />
  );
}
