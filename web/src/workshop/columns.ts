import {
  type Abrasive,
  type Bit,
  BIT_KINDS,
  type Centre,
  CENTRE_KINDS,
  type Chuck,
  type Finish,
  FINISH_KINDS,
  type Fixture,
  FIXTURE_KINDS,
  type Gauge,
  GAUGE_KINDS,
  type Glue,
  GLUE_KINDS,
  GLUE_WORDS,
  GRIT_SCALES,
  type Jaws,
  type Mandrel,
  type Tool,
  TOOL_KINDS,
} from '@compas/core';

/** How a column of an equipment list is edited. Plain lengths are in mm. */
export type Column<T> = CellKind<T> & {
  /** whether an entry has this at all; every one when not said */
  when?: (item: T) => boolean;
};

type CellKind<T> =
  | { key: keyof T & string; label: string; kind: 'text'; wide?: boolean }
  | { key: keyof T & string; label: string; kind: 'length' }
  | { key: keyof T & string; label: string; kind: 'optional text' }
  | { key: keyof T & string; label: string; kind: 'optional length' }
  | { key: keyof T & string; label: string; kind: 'dimension' }
  | { key: keyof T & string; label: string; kind: 'bit size' }
  | { key: keyof T & string; label: string; kind: 'number'; unit?: string }
  | {
      key: keyof T & string;
      label: string;
      kind: 'choice';
      choices: readonly string[];
      words?: Readonly<Record<string, string>>;
    };

/** A list of equipment: what it is called, its columns, and what a new entry begins as. */
export interface EquipmentKind<T> {
  title: string;
  one: string;
  columns: Column<T>[];
  fresh: (id: string) => T;
}

/** Thread or taper that a thing wants of the lathe; it is compared when it is given. */
const fits = { key: 'fits', label: 'Fits', kind: 'optional text' } as const;
const name = { key: 'name', label: 'Name', kind: 'text', wide: true } as const;

export const centreKind: EquipmentKind<Centre> = {
  title: 'Centres',
  one: 'centre',
  columns: [
    name,
    { key: 'kind', label: 'Kind', kind: 'choice', choices: CENTRE_KINDS },
    { key: 'diameter', label: 'Diameter', kind: 'length' },
    fits,
  ],
  fresh: (id) => ({ id, name: 'Centre', kind: 'live', diameter: 20 }),
};

export const chuckKind: EquipmentKind<Chuck> = {
  title: 'Chucks',
  one: 'chuck',
  columns: [name, { key: 'fastest', label: 'Fastest', kind: 'number', unit: 'rpm' }, fits],
  fresh: (id) => ({ id, name: 'Chuck', fastest: 2500, jaws: [] }),
};

export const jawsKind: EquipmentKind<Jaws> = {
  title: 'Jaws',
  one: 'set of jaws',
  columns: [
    name,
    { key: 'gripLeast', label: 'Closed', kind: 'length' },
    { key: 'gripBest', label: 'Best grip', kind: 'length' },
    { key: 'gripMost', label: 'Widest', kind: 'length' },
    { key: 'depth', label: 'Depth', kind: 'length' },
    { key: 'recessLeast', label: 'Recess from', kind: 'optional length' },
    { key: 'recessMost', label: 'Recess to', kind: 'optional length' },
  ],
  fresh: (id) => ({ id, name: 'Jaws', gripLeast: 30, gripBest: 35, gripMost: 50, depth: 14 }),
};

export const mandrelKind: EquipmentKind<Mandrel> = {
  title: 'Mandrels',
  one: 'mandrel',
  columns: [
    name,
    { key: 'takes', label: 'Takes thread', kind: 'text' },
    { key: 'reach', label: 'Stands out', kind: 'length' },
    { key: 'threadLength', label: 'Goes into the wood', kind: 'optional length' },
    fits,
  ],
  fresh: (id) => ({ id, name: 'Mandrel', takes: 'M8', reach: 35 }),
};

/** Whether it has a bore that a rod goes through. */
const isOnRod = ({ kind }: Fixture) => kind === 'bushing' || kind === 'cone bushing' || kind === 'spacer';

export const fixtureKind: EquipmentKind<Fixture> = {
  title: 'Fixtures, spacers, what stands in the spindle',
  one: 'fixture',
  columns: [
    name,
    { key: 'kind', label: 'Kind', kind: 'choice', choices: FIXTURE_KINDS },
    { key: 'diameter', label: 'Across', kind: 'length' },
    { key: 'bore', label: 'Slides on', kind: 'optional length', when: isOnRod },
    { key: 'length', label: 'Along the axis', kind: 'length' },
    fits,
  ],
  fresh: (id) => ({ id, name: 'Spacer', kind: 'spacer', diameter: 14, length: 10 }),
};

const isStep = (bit: Bit) => bit.kind === 'step';

export const bitKind: EquipmentKind<Bit> = {
  title: 'Bits',
  one: 'bit',
  columns: [
    { key: 'diameter', label: 'Size as stamped', kind: 'bit size' },
    { key: 'kind', label: 'Kind', kind: 'choice', choices: BIT_KINDS },
    { key: 'length', label: 'Reaches', kind: 'length' },
    { key: 'point', label: 'Its point', kind: 'optional length' },
    { key: 'pilot', label: 'Step bit: pilot', kind: 'dimension', when: isStep },
    { key: 'pilotLength', label: 'Pilot is long', kind: 'optional length', when: isStep },
  ],
  fresh: (id) => ({ id, kind: 'brad point', diameter: { mm: 10 }, length: 90 }),
};

export const gaugeKind: EquipmentKind<Gauge> = {
  title: 'Gauges and callipers',
  one: 'gauge',
  columns: [
    name,
    { key: 'kind', label: 'Kind', kind: 'choice', choices: GAUGE_KINDS },
    { key: 'size', label: 'Size that goes over', kind: 'dimension' },
    {
      key: 'noGo',
      label: 'Must not go over',
      kind: 'dimension',
      when: (gauge) => gauge.kind === 'go and no-go',
    },
  ],
  fresh: (id) => ({ id, name: 'Slot', kind: 'slot', size: { mm: 20 } }),
};

export const toolKind: EquipmentKind<Tool> = {
  title: 'Turning tools',
  one: 'tool',
  columns: [
    name,
    {
      key: 'kind',
      label: 'Kind',
      kind: 'choice',
      choices: TOOL_KINDS,
    },
    { key: 'width', label: 'Width', kind: 'length' },
    { key: 'nose', label: 'Radius of the nose', kind: 'length' },
  ],
  fresh: (id) => ({ id, name: 'Spindle gouge', kind: 'spindle gouge', width: 10, nose: 4 }),
};

export const abrasiveKind: EquipmentKind<Abrasive> = {
  title: 'Abrasives',
  one: 'grit',
  columns: [
    { key: 'grit', label: 'Grit', kind: 'number' },
    { key: 'scale', label: 'Scale', kind: 'choice', choices: GRIT_SCALES },
  ],
  fresh: (id) => ({ id, grit: 240, scale: 'P' }),
};

export const finishKind: EquipmentKind<Finish> = {
  title: 'Finishes',
  one: 'finish',
  columns: [
    name,
    {
      key: 'kind',
      label: 'Kind',
      kind: 'choice',
      choices: FINISH_KINDS,
    },
    { key: 'coats', label: 'Coats', kind: 'number' },
  ],
  fresh: (id) => ({ id, name: 'Wax', kind: 'wax', coats: 1 }),
};

export const glueKind: EquipmentKind<Glue> = {
  title: 'Glues',
  one: 'glue',
  columns: [
    name,
    {
      key: 'kind',
      label: 'Kind',
      kind: 'choice',
      choices: GLUE_KINDS,
      words: GLUE_WORDS,
    },
    { key: 'cureMinutes', label: 'Cures in', kind: 'number', unit: 'min' },
  ],
  fresh: (id) => ({ id, name: 'Epoxy', kind: 'epoxy', cureMinutes: 720 }),
};
