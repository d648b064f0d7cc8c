import { Button } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys } from '../../api/client';
import { useFormat } from '../../kit/format';
import { Failed } from '../../kit/states';

/** How warm the places were set, from when on; bottles are judged by all of it. */
export function PastClimates() {
  const client = useQueryClient();
  const format = useFormat();
  const past = useQuery({
    queryKey: keys.climates,
    queryFn: () => ask(api.GET('/api/kitchen/climates')),
  });
  const takeBack = useMutation({
    mutationFn: (id: string) =>
      ask(api.DELETE('/api/kitchen/climates/{id}', { params: { path: { id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
  });
  if (!past.data?.length) {
    return (
      <p className="soft small">
        Bottles that stand are judged by this, from the day on which you change it.
      </p>
    );
  }
  return (
    <details>
      <summary>Settings so far: {past.data.length}</summary>
      <ul className="plain small">
        {past.data.map((line, i) => (
          <li key={line.id} className="row">
            <span>
              {line.from ? `since ${format.moment(line.from)}` : 'before'}: room{' '}
              {format.celsius(line.roomC)}, fridge {format.celsius(line.fridgeC)}, freezer{' '}
              {format.celsius(line.freezerC)}
            </span>
            {i > 0 && (
              <Button
                variant="subtle"
                size="compact-sm"
                loading={takeBack.isPending && takeBack.variables === line.id}
                onClick={() => takeBack.mutate(line.id)}
              >
                Take back
              </Button>
            )}
          </li>
        ))}
      </ul>
      {takeBack.isError && <Failed error={takeBack.error} />}
    </details>
  );
}
