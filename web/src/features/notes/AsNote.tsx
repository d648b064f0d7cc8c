import { Button, Textarea } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { Fold } from '../../kit/Fold';
import { Loaded } from '../../kit/Loaded';

/** A formula in plain words, to copy or to share; read back it is the same formula. */
export function AsNote({ id, name }: { id: string; name: string }) {
  const note = useQuery({
    queryKey: keys.written(id),
    queryFn: () => ask(api.GET('/api/formulas/{id}/note', { params: { path: { id } } })),
  });
  return (
    <Fold id="as-note" title="As a note" says="to copy or to share">
      <Loaded part of={note}>
        {({ text }) => <Written text={text} name={name} />}
      </Loaded>
    </Fold>
  );
}

function Written({ text, name }: { text: string; name: string }) {
  const [copied, setCopied] = useState(false);
  const share = typeof navigator.share === 'function';
  return (
    <>
      <Textarea aria-label="The formula as a note" readOnly autosize maxRows={18} value={text} />
      <div className="row">
        <Button
          variant="outline"
          onClick={() => void navigator.clipboard.writeText(text).then(() => setCopied(true))}
        >
          {copied ? 'Copied' : 'Copy it'}
        </Button>
        {share && (
          <Button
            variant="outline"
            // Who closes the list of places without choosing has not shared it, and that is all.
            onClick={() => void navigator.share({ title: name, text }).catch(() => undefined)}
          >
            Share it
          </Button>
        )}
      </div>
      <p className="soft small">Whoever pastes it under From a note has the same formula.</p>
    </>
  );
}
