import { MantineProvider, NumberInput } from '@mantine/core';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { theme } from './theme';

/** Half the world writes a comma in its decimals: typed or pasted it counts. */
it.each(['pasted', 'typed'])(
  'a number %s with a comma is no hundred times as much',
  async (how) => {
    const told = vi.fn();
    render(
      <MantineProvider theme={theme}>
        <NumberInput label="Grams" onChange={told} />
      </MantineProvider>,
    );
    await userEvent.click(screen.getByLabelText('Grams'));
    if (how === 'pasted') await userEvent.paste('4,50');
    else await userEvent.keyboard('4,50');
    expect(Number(told.mock.lastCall?.[0])).toBe(4.5);
  },
);
