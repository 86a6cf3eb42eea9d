import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiError } from '../../api/http';
import { HandReadingForm } from './HandReadingForm';

vi.mock('./handReadingChecks', () => {
  throw new Error('the code of the checks does not come');
});
afterEach(cleanup);

async function type(temperature: string, humidity: string): Promise<void> {
  fireEvent.change(screen.getByLabelText('It reads, °C'), { target: { value: temperature } });
  fireEvent.change(screen.getByLabelText('and % RH'), { target: { value: humidity } });
  fireEvent.click(screen.getByRole('button', { name: 'Note it' }));
  await waitFor(() => expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Note it' }).disabled).toBe(false));
}

describe('a reading typed by hand while its checks cannot be fetched', () => {
  it('is left to the server: kept where that takes it, and begun anew', async () => {
    const save = vi.fn(() => Promise.resolve());
    render(<HandReadingForm id="d" verb="Note it" save={save} />);
    await type('18,5', '72');
    await waitFor(() => expect(save).toHaveBeenCalledWith({ at: null, temperatureC: 18.5, humidityPct: 72 }));
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('and % RH').value).toBe(''));
  });

  it('stays as it was typed where the server does not answer either, and that is said', async () => {
    const silent = new ApiError({
      type: 'about:blank',
      title: 'No answer',
      status: 0,
      code: 'offline',
      detail: 'The server does not answer.',
    });
    render(<HandReadingForm id="d" verb="Note it" save={() => Promise.reject(silent)} />);
    await type('18,5', '72');
    expect(await screen.findByText('The server does not answer.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('and % RH').value).toBe('72');
  });
});
