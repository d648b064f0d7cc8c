import { MantineProvider } from '@mantine/core';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Choice } from './Choice';
import SeekList from './SeekList';
import { Several } from './Several';

const HERBS = [
  { value: 'sage', label: 'Sage' },
  { value: 'mint', label: 'Peppermint' },
];

const show = (node: React.ReactNode) =>
  render(<MantineProvider env="test">{node}</MantineProvider>);

describe('a choice', () => {
  it('shows nothing as chosen before something is', async () => {
    const told = vi.fn();
    show(<Choice label="Herb" data={HERBS} value={null} onChange={told} />);
    const field = screen.getByLabelText('Herb');
    expect(field).toHaveValue('');
    await userEvent.selectOptions(field, 'Peppermint');
    expect(told).toHaveBeenCalledWith('mint');
  });

  it('offers no empty line once something is chosen', () => {
    show(<Choice label="Herb" data={HERBS} value="sage" onChange={() => {}} />);
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['Sage', 'Peppermint']);
  });

  it('says what leaving it open means', () => {
    show(
      <Choice label="From" data={HERBS} placeholder="made fresh" value="" onChange={() => {}} />,
    );
    expect(screen.getByLabelText('From')).toHaveDisplayValue('made fresh');
  });
});

describe('a long list', () => {
  const field = () => screen.getByRole('combobox', { name: 'What' });

  it('is found by any word of it and keeps what is not chosen', async () => {
    const told = vi.fn();
    show(<SeekList label="What" data={HERBS} value="sage" onChange={told} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'PEPPER');
    expect(screen.getAllByRole('option').map((o) => o.textContent.trim())).toEqual(['Peppermint']);
    expect(told).not.toHaveBeenCalled();
    await userEvent.keyboard('{Enter}');
    expect(told).toHaveBeenCalledExactlyOnceWith('mint');
    await userEvent.type(field(), 'x');
    await userEvent.tab();
    expect(field()).toHaveValue('Sage');
  });

  it('is found by its kind and by another name, and says when there is nothing', async () => {
    const flax = { value: 'linseed', label: 'Linseed', beside: 'gum seed', also: 'Linum flax' };
    show(<SeekList label="What" data={[...HERBS, flax]} value={null} onChange={() => {}} />);
    for (const word of ['flax', 'gum seeds', 'linum']) {
      await userEvent.clear(field());
      await userEvent.type(field(), word);
      expect(screen.getAllByRole('option')[0]).toHaveTextContent('Linseed');
    }
    await userEvent.type(field(), ' of the moon');
    expect(screen.getByText('Nothing here is called that.')).toBeInTheDocument();
  });
});

describe('some of a list', () => {
  it('adds and takes out by taps', async () => {
    const told = vi.fn();
    show(<Several label="Of" data={HERBS} value={['sage']} onChange={told} />);
    await userEvent.click(screen.getByRole('checkbox', { name: 'Peppermint' }));
    expect(told).toHaveBeenLastCalledWith(['sage', 'mint']);
    await userEvent.click(screen.getByRole('checkbox', { name: 'Sage' }));
    expect(told).toHaveBeenLastCalledWith([]);
  });
});
