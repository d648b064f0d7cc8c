import { Button, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { useFeed } from '../../api/queries';
import { tell } from '../../kit/states';

/** The shelf in a calendar: a file, or a private address to subscribe to. */
export function CalendarFeed() {
  const feed = useFeed();
  const client = useQueryClient();
  const [address, setAddress] = useState('');
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/feed', {})),
    onSuccess: async ({ path }) => {
      setAddress(window.location.origin + path);
      await client.invalidateQueries({ queryKey: keys.feed });
    },
    onError: tell,
  });
  const revoke = useMutation({
    mutationFn: () => ask(api.DELETE('/api/feed', {})),
    onSuccess: async () => {
      setAddress('');
      await client.invalidateQueries({ queryKey: keys.feed });
    },
    onError: tell,
  });
  return (
    <section className="stack above-l">
      <h2>In your calendar</h2>
      <p>
        <a href="/api/shelf.ics">The last days as a calendar file</a>, or a private address that a
        calendar program reads again and again. Whoever knows it can read it.
      </p>
      {address && (
        <TextInput
          label="Your address, shown once"
          readOnly
          value={address}
          onFocus={(e) => e.currentTarget.select()}
        />
      )}
      <div className="row">
        <Button variant="outline" onClick={() => make.mutate()} loading={make.isPending}>
          {feed.data?.made ? 'Make another address' : 'Make an address'}
        </Button>
        {feed.data?.made && (
          <Button
            variant="outline"
            color="madder"
            onClick={() => revoke.mutate()}
            loading={revoke.isPending}
          >
            Switch it off
          </Button>
        )}
      </div>
      {feed.data?.made && !address && (
        <p className="soft small">There is an address. Another one switches it off.</p>
      )}
    </section>
  );
}
