import { clockKnown } from '../api/clock.js';
import { randomId } from '../api/randomId.js';
import { get, update } from 'idb-keyval';

/** This device as its records name it; all in one place, so that a count never goes on under another's name. */
interface Device {
  id: string;
  /** its last event */
  sequence: number;
  /** its last clock: each time a page is opened, and each time its clock jumps, it may be another */
  clock: number;
}

/** Where an older Compas kept its count: what lies in the queue under it comes first. */
const OLD_COUNT = 'sequence';

async function changed(change: (device: Device) => Partial<Device>): Promise<Device> {
  const before = await get<number>(OLD_COUNT);
  let now: Device | undefined;
  await update<Device>('device', (device = { id: randomId(), sequence: before ?? 0, clock: 0 }) => {
    now = { ...device, ...change(device) };
    return now;
  });
  if (!now) throw new Error('The store of this browser kept nothing.');
  return now;
}

/** Full id of this device. */
export const deviceId = async (): Promise<string> => (await changed(() => ({}))).id;

/**
 * The next numbers of this device, so many in a row: what one tap records is counted together, and a quicker second tap
 * comes after all of it.
 * @returns the device and the first of them
 */
export async function nextSequence(count = 1): Promise<{ device: string; first: number }> {
  const { id, sequence } = await changed((device) => ({ sequence: device.sequence + count }));
  return { device: id, first: sequence - count + 1 };
}

let counted: { jumps: number; clock: Promise<number> } | null = null;

/** What is known of this device's clock now: which of its clocks it is, and what is added to it to have the server's, ms. */
export async function deviceClock(): Promise<{ offset?: number; jumps: number }> {
  const { offset, jumps } = clockKnown();
  if (counted?.jumps !== jumps) {
    const own = { jumps, clock: changed((device) => ({ clock: device.clock + 1 })).then((d) => d.clock) };
    counted = own;
    // a store that refused once is asked again: a tablet that is full now is not full for good
    own.clock.catch(() => {
      if (counted === own) counted = null;
    });
  }
  const clock = await counted.clock;
  return { ...(offset === undefined ? {} : { offset }), jumps: clock };
}
