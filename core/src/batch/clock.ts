/** What a device knew of its own clock when it recorded something. */
export interface DeviceClock {
  /** what is added to it to have the server's, ms; left out while the server was not heard since the clock last jumped */
  offset?: number;
  /** how often it was noticed that the clock had jumped, since the device is known */
  jumps?: number;
}

/** The clock of a device at the moment at which it sends. */
export interface SendingClock {
  /** instant by the device, ms */
  sent: number;
  jumps?: number;
}

/** Nothing was recorded before that: an older instant is a clock that was never set. */
const EARLIEST = Date.UTC(2000, 0, 1);

/**
 * The instant at which something was recorded, by the server's clock, ms: what the device's clock said, put right by what
 * it knew of the difference, or else by the difference as it sends, if its clock has not jumped in between. It is never
 * later than its receipt: nothing is recorded after it has come.
 * @param event what the device kept: its raw instant and what it knew of its clock
 * @param sending its clock as it sends; null of a device that does not say
 * @param received instant of the receipt by the server's clock, ms
 */
export function reckonedAt(
  { at, offset, jumps }: DeviceClock & { at: string },
  sending: SendingClock | null,
  received: number,
): number {
  const raw = Date.parse(at);
  const same = sending !== null && sending.jumps === jumps;
  const difference = offset ?? (same ? received - sending.sent : 0);
  return Math.max(EARLIEST, Math.min(received, raw + difference));
}
