import 'fake-indexeddb/auto';
import { deviceClock, deviceId, nextSequence } from './device.js';

describe('this device as its records name it', () => {
  it('asks a store that refused once again, and counts on from what it kept', async () => {
    const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await expect(deviceClock()).rejects.toThrow();
    await expect(nextSequence()).rejects.toThrow();
    full.mockRestore();
    expect(await deviceClock()).toMatchObject({ jumps: 1 });
    expect(await nextSequence(3)).toMatchObject({ first: 1 });
    expect(await nextSequence()).toEqual({ device: await deviceId(), first: 4 });
  });
});
