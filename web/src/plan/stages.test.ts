import type { Finding, Severity, Stage } from '@compas/core';
import { RAIL, stageOf, stateOf } from './stages.js';

const finding = (stage: Stage, severity: Severity): Finding => ({
  id: stage + severity,
  stage,
  severity,
  what: '',
  why: '',
  remedy: '',
});

describe('the rail', () => {
  it('has the stages of the work in their order', () => {
    expect(RAIL.map((r) => r.word).join(' ')).toBe(
      'Pattern Stock Drill Mount Mark Turn Surface Assemble Time Run Twins',
    );
  });

  it('shows the most serious finding of each stage', () => {
    const findings = [
      finding('drill', 'warn'),
      finding('drill', 'stop'),
      finding('mount', 'warn'),
      finding('turn', 'note'),
    ];
    expect((['drill', 'mount', 'turn', 'time'] as const).map((s) => stateOf(findings, s))).toEqual([
      'stop',
      'warn',
      'fine',
      'fine',
    ]);
  });

  it('reads a stage from an address, and falls back', () => {
    expect(stageOf('drill', 'stock')).toBe('drill');
    expect(stageOf('nonsense', 'stock')).toBe('stock');
    expect(stageOf(undefined, 'time')).toBe('time');
  });
});
