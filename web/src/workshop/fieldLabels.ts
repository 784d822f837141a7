import { KIT_KINDS, type KitKind } from '@compas/core';
import type { FieldLabel } from '../saving/fieldWords.js';
import * as lists from './columns.js';
import {
  ALLOWANCE_WORDS,
  BAND_WORDS,
  COPYING_WORDS,
  HABIT_WORDS,
  LATHE_WORDS,
  SAWING_WORDS,
  SCHOOL_WORDS,
} from './words.js';

interface ListColumn {
  key: string;
  label: string;
  kind: string;
  unit?: string;
}

/** Columns of each list of equipment, by its name in the workshop. */
const COLUMNS: Record<string, readonly ListColumn[]> = {
  centres: lists.centreKind.columns,
  chucks: lists.chuckKind.columns,
  jaws: lists.jawsKind.columns,
  mandrels: lists.mandrelKind.columns,
  fixtures: lists.fixtureKind.columns,
  bits: lists.bitKind.columns,
  gauges: lists.gaugeKind.columns,
  tools: lists.toolKind.columns,
  abrasives: lists.abrasiveKind.columns,
  finishes: lists.finishKind.columns,
  glues: lists.glueKind.columns,
};

/** Words of the groups of fields, and the unit of their numbers. */
const GROUPS: Record<string, { words: Record<string, string>; unit?: string }> = {
  lathe: { words: LATHE_WORDS, unit: 'mm' },
  allowances: { words: ALLOWANCE_WORDS, unit: 'mm' },
  sawing: { words: { ...SAWING_WORDS, offcutsCarryCost: 'Offcuts keep a share of the cost' }, unit: 'mm' },
  schools: { words: SCHOOL_WORDS },
  speedBand: { words: BAND_WORDS },
  copying: { words: COPYING_WORDS, unit: 'mm' },
  air: { words: { temperature: 'Temperature, °C', humidity: 'Relative humidity, %' } },
  hours: { words: { timeZone: 'Time zone', windows: 'Working hours' } },
  body: { words: HABIT_WORDS },
};

/** What a field of the workshop is called on its screen; a path goes from the outside inwards. */
export function workshopLabel(path: readonly string[]): FieldLabel | undefined {
  const key = path.at(-1) ?? '';
  const list = path.findLast((step) => step in COLUMNS);
  const column = list === undefined ? undefined : COLUMNS[list]?.find((c) => c.key === key);
  if (column) return { label: column.label, unit: column.kind.endsWith('length') ? 'mm' : column.unit };
  if (key === 'name' && path.length === 1) return { label: 'Name of the workshop' };
  const group = GROUPS[path.at(-2) ?? ''];
  const label = group?.words[key];
  return label === undefined ? undefined : { label, unit: group?.unit };
}

/** What a field of a kit is called on its form. */
export function kitLabel(kind: KitKind, path: readonly string[]): FieldLabel | undefined {
  const key = path.at(-1) ?? '';
  const { lengths, texts = [] } = KIT_KINDS[kind];
  const label =
    KIT_WORDS[key] ?? lengths.find((l) => l.key === key)?.measure ?? texts.find((t) => t.key === key)?.label;
  return label === undefined ? undefined : { label };
}

/** Fields that every kit has or may have. */
const KIT_WORDS: Record<string, string> = {
  name: 'Name of the kit',
  onHand: 'On the shelf',
  cost: 'One costs',
  reorderAt: 'Order again below',
  glue: 'Glue',
};
