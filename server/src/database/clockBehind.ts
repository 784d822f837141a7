import type { DataSource } from 'typeorm';

/**
 * By how much the newest record is later than this server's clock, ms; 0 where it is not. A clock that was put back ends no
 * wait: what is under way waits for longer, until it is set right.
 */
export async function clockBehind(source: DataSource): Promise<number> {
  const [row] = await source.query<{ at: Date | null }[]>('SELECT newest_receipt() AS at');
  return Math.max(0, (row?.at?.getTime() ?? 0) - Date.now());
}
