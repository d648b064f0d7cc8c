import { Button, NumberInput, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Material } from '../../api/client';
import { said } from '../../kit/fields';

/** A spoon of a material put on the scale once, and kept. */
export function WeighSpoon({ material }: { material: Material }) {
  const client = useQueryClient();
  const [text, setText] = useState('1 tbsp');
  const [grams, setGrams] = useState<number | string>('');
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/materials/{id}/spoon', {
          params: { path: { id: material.id } },
          body: { text, grams: grams as number },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
  });
  return (
    <form
      className="row end"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <TextInput
        label="I measured off"
        w={140}
        value={text}
        onChange={(e) => setText(e.currentTarget.value)}
        error={said(save.error, 'text')}
      />
      <NumberInput
        label="and it weighs, g"
        w={150}
        decimalScale={2}
        value={grams}
        onChange={setGrams}
        error={said(save.error, 'grams')}
      />
      <Button type="submit" variant="outline" loading={save.isPending}>
        Keep it
      </Button>
    </form>
  );
}
