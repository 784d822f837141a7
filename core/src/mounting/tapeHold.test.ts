import { TAPE_SAFETY, tapeHold } from './tapeHold.js';

describe('tape', () => {
  // τ = 0.12 MPa: carries πτd³/12 in torque and τπd²/4 along its face
  it('is judged by the weaker of what it carries in torque and along its face', () => {
    const slow = tapeHold(60, 60, 100, 0);
    const torque = (Math.PI * 0.12 * 60 ** 3) / 12 / ((40 * 60) / 2);
    const along = (0.12 * Math.PI * 60 ** 2) / 4 / 40;
    expect(slow.safety).toBeCloseTo(Math.min(torque, along), 9);
    expect(torque).toBeLessThan(along + 3);
    // a wide work on a small face: torque decides; a heavy fast one: what spins out decides
    expect(tapeHold(20, 200, 100, 0).safety).toBeCloseTo(
      (Math.PI * 0.12 * 20 ** 3) / 12 / ((40 * 200) / 2),
      9,
    );
    const omega = (2 * Math.PI * 3000) / 60;
    expect(tapeHold(60, 30, 4000, 3000).safety).toBeCloseTo(
      (0.12 * Math.PI * 60 ** 2) / 4 / (40 + 4 * 0.0005 * omega ** 2),
      9,
    );
  });

  it('holds by the cube of its face against the width of the work', () => {
    const small = tapeHold(40, 80, 200, 1000);
    const large = tapeHold(80, 80, 200, 1000);
    expect(large.carries / small.carries).toBeCloseTo(8, 9);
    // π · 0.12 · 80³ ÷ 12 = 16 085 N·mm against 40 N at 40 mm
    expect(large.carries).toBeCloseTo(16.085, 2);
    expect(large.asks).toBeCloseTo(1.6, 9);
    // 0.2 kg half a millimetre off at 1000 rpm: 0.0001 · 104.72²
    expect(large.throws).toBeCloseTo(1.0966, 3);
    expect(large.safety).toBeGreaterThan(TAPE_SAFETY);
    expect(small.safety).toBeLessThan(TAPE_SAFETY);
  });
});
