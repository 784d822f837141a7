import { screen, waitFor } from '@testing-library/react';
import { CsvTrace } from '../copy/CsvTrace.js';
import { ImportFile } from '../pattern/ImportFile.js';
import { shownInApp } from '../../test/inApp.js';
import { readFile } from './reading.js';

const ended = jest.fn();
const read = jest.fn<Promise<unknown>, [string, unknown[]]>();
jest.mock('comlink', () => ({ wrap: () => ({ read: (...asked: [string, unknown[]]) => read(...asked) }) }));

/** What browsers have and this one has not: its text. */
const fileCalled = (name: string) =>
  Object.assign(new File(['x'], name), { text: () => Promise.resolve('x') });

beforeEach(() => {
  ended.mockReset();
  read.mockReset();
  Object.assign(globalThis, {
    Worker: class {
      terminate = ended;
    },
  });
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(globalThis, 'Worker');
});

describe('a file that is opened', () => {
  it('is read in a worker of its own, which ends with it', async () => {
    read.mockResolvedValue({ ok: true, value: { points: [], readAs: 'radii' } });
    expect(await readFile('trace', 'x,r')).toEqual({ points: [], readAs: 'radii' });
    expect(read).toHaveBeenCalledWith('trace', ['x,r']);
    expect(ended).toHaveBeenCalledTimes(1);
  });

  it('that takes longer than three seconds is given up with a sentence, and so is its worker', async () => {
    jest.useFakeTimers();
    read.mockReturnValue(new Promise(() => undefined));
    const said = readFile('pattern', 'a.svg', '<svg>').catch((error: Error) => error.message);
    await jest.advanceTimersByTimeAsync(3_000);
    expect(await said).toContain('takes too long to read');
    expect(ended).toHaveBeenCalledTimes(1);
  });

  it('that is refused says why where it was opened, and nothing is taken in', async () => {
    read.mockResolvedValue({ ok: false, why: 'Line 6: This polyline has no end (SEQEND).' });
    const onImported = jest.fn();
    const { user, container } = shownInApp(<ImportFile onImported={onImported} />);
    await user.upload(container.querySelector('input')!, fileCalled('leg.dxf'));
    expect((await screen.findByRole('alert')).textContent).toContain('Line 6: This polyline has no end');
    expect(onImported).not.toHaveBeenCalled();
    read.mockResolvedValue({ ok: true, value: { name: 'leg' } });
    await user.upload(container.querySelector('input')!, fileCalled('leg.dxf'));
    await waitFor(() => expect(onImported).toHaveBeenCalledWith({ name: 'leg' }));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('as a trace says how many places it has, or why it has none', async () => {
    const onMeasured = jest.fn();
    read.mockResolvedValue({ ok: true, value: { points: [{}, {}], readAs: 'diameters' } });
    const { user, container } = shownInApp(<CsvTrace onMeasured={onMeasured} />);
    await user.upload(container.querySelector('input')!, fileCalled('a.csv'));
    expect(await screen.findByText('2 places, read as diameters.')).toBeTruthy();
    read.mockResolvedValue({ ok: false, why: 'Row 3: no number.' });
    await user.upload(container.querySelector('input')!, fileCalled('a.csv'));
    expect((await screen.findByRole('alert')).textContent).toBe('Row 3: no number.');
    expect(onMeasured).toHaveBeenLastCalledWith(null);
  });
});
