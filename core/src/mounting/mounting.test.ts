import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { outlineOf, type Element, type Hole, type Part, type Turning } from '../pattern/index.js';
import { exampleWorkshop } from '../plan/exampleShop.js';
import type { Fixture, Workshop } from '../workshop/index.js';
import {
  centringOf,
  heldHow,
  mountFigures,
  mountFindings,
  proposeMounts,
  STOCK_FORMS,
  type HeldWork,
} from './index.js';
import { spacersFor } from './stack.js';
import { type MountWish } from './mount.js';

const workshop = exampleWorkshop();
const wish = (
  rest: Partial<MountWish> & { diameter?: number; length?: number; holes?: Hole[] } = {},
): MountWish => {
  const { diameter = 25, length = 80, holes = [] } = rest;
  const part: Part = {
    id: 'p',
    name: 'Body',
    perItem: 1,
    materialId: 'ash',
    turnings: [
      {
        id: 't',
        startDiameter: dim(diameter),
        elements: [{ kind: 'cylinder', id: 'e1', length: dim(length) }],
      },
    ],
    holes,
  };
  return {
    part,
    outline: outlineOf(part.turnings[0]),
    kit: undefined,
    kitEnd: undefined,
    mandrelThread: undefined,
    ...rest,
  };
};
const held = (w: MountWish, blank: { diagonal: number; length: number }): HeldWork => ({
  part: w.part,
  outline: w.outline,
  blank: { ...blank, section: blank.diagonal / Math.SQRT2 },
  mass: 120,
  rpm: 1500,
  tailDrill: null,
});
const bore: Hole = {
  id: 'h',
  name: 'cord hole',
  from: 'reference',
  through: false,
  pointAngle: 118,
  steps: [{ diameter: dim(4), depth: dim(20) }],
};

const ball = (across: number) =>
  outlineOf({
    id: 't',
    startDiameter: dim(0),
    elements: [{ kind: 'sphere', id: 's', diameter: dim(across), endDiameter: dim(0) }],
  });

describe('ways to hold', () => {
  it('takes the kit’s mandrel first when the workshop has it, and not when it has not', () => {
    expect(proposeMounts(wish({ mandrelThread: 'M8' }), workshop)[0]?.kind).toBe('mandrel');
    const without = proposeMounts(wish({ mandrelThread: 'M8' }), { ...workshop, mandrels: [] });
    expect(without[0]?.kind).toBe('between centres');
    expect(without.find((m) => m.kind === 'mandrel')?.missing).toEqual(['a mandrel for M8']);
  });

  it('puts a drilled end at the tail, where no waste hides the hole', () => {
    const [centres] = proposeMounts(wish({ holes: [bore] }), workshop);
    expect(centres).toMatchObject({ kind: 'between centres', headstockEnd: 'far', wasteTail: 0 });
  });

  it('sizes the tenon to the best grip of jaws no wider than the piece', () => {
    const inChuck = (w: MountWish) => proposeMounts(w, workshop).find((m) => m.kind === 'chuck');
    expect(inChuck(wish())?.tenon).toEqual({ diameter: 20, length: 12 });
    expect(inChuck(wish({ diameter: 10 }))?.missing).toHaveLength(1);
  });

  it('takes the chuck first for what is short and runs out to a tip that shows, whatever it is called', () => {
    const tipped = (long: number, end: number) => {
      const w = wish();
      const elements: Element[] = [
        { kind: 'cylinder', id: 'a', length: dim(10) },
        { kind: 'taper', id: 'b', length: dim(long - 10), endDiameter: dim(end) },
      ];
      const outline = outlineOf({ ...w.part.turnings[0], elements });
      return proposeMounts({ ...w, outline }, workshop)[0]?.kind;
    };
    expect([tipped(60, 0), tipped(60, 5), tipped(60, 12), tipped(120, 0)]).toEqual([
      'chuck',
      'chuck',
      'between centres',
      'between centres',
    ]);
    expect(kinds({ ...wish(), outline: ball(40) }, workshop).slice(0, 2)).toEqual([
      'between centres',
      'chuck',
    ]);
  });

  it('leaves out what cannot turn about a further axis', () => {
    const w = wish();
    const axis = { shift: dim(3), direction: 0, tilt: 0 };
    const second = { ...w.part.turnings[0], id: 't2', axis };
    const part: Part = { ...w.part, turnings: [w.part.turnings[0], second] };
    expect(kinds({ ...w, part }, workshop)).not.toContain('chuck');
  });
});

describe('what the lathe must have', () => {
  const ids = (w: MountWish, blank: { diagonal: number; length: number }) => {
    const [mount] = proposeMounts(w, workshop);
    return mountFindings(mount, held(w, blank), workshop).map((f) => f.id);
  };

  it('is enough for a short handle', () => expect(ids(wish(), { diagonal: 40, length: 110 })).toEqual([]));
  it('is swing and length between centres', () =>
    expect(ids(wish(), { diagonal: 301, length: 501 })).toEqual(
      expect.arrayContaining(['mount.swing.p', 'mount.bed.p']),
    ));
  it('is stiffness: a slender piece whips, a free one chatters', () => {
    expect(ids(wish({ diameter: 8 }), { diagonal: 20, length: 110 })).toEqual(['mount.slender.p']);
    const free = { ...workshop, centres: [] };
    const chuck = proposeMounts(wish(), free).find((m) => m.kind === 'chuck')!;
    expect(mountFindings(chuck, held(wish(), { diagonal: 40, length: 110 }), free).map((f) => f.id)).toEqual([
      'mount.overhang.p',
    ]);
  });
});

const fixture = (kind: Fixture['kind'], diameter: number, length: number, id: string = kind): Fixture => ({
  id,
  name: `${kind} ${length}`,
  kind,
  diameter,
  length,
});
const owning = (...fixtures: Fixture[]): Workshop => ({ ...workshop, fixtures });
const kinds = (w: MountWish, shop: Workshop) => proposeMounts(w, shop).map((m) => m.kind);

describe('ways by what the work is', () => {
  const through: Hole = { ...bore, through: true, steps: [{ diameter: dim(8), depth: dim(0) }] };

  it('a through hole goes on a through mandrel whose stack closes', () => {
    const rod = fixture('through mandrel', 7.9, 130);
    const bushings = [fixture('bushing', 14, 10, 'b1'), fixture('bushing', 14, 10, 'b2')];
    const spacers = [
      fixture('spacer', 14, 12, 's1'),
      fixture('spacer', 14, 5, 's2'),
      fixture('spacer', 14, 20, 's3'),
    ];
    const shop = owning(rod, ...bushings, ...spacers);
    const [mount] = proposeMounts(wish({ holes: [through] }), shop);
    expect(mount.kind).toBe('through mandrel');
    // 130 − 80 − 20 leaves 30: 12 + 5 makes 17 and 20 + 5 makes 25, the nearest below
    expect(mount.fixtures).toEqual(expect.arrayContaining(['spacer 20', 'spacer 5']));
    expect(mount.missing).toEqual([]);
    const open = proposeMounts(wish({ holes: [through] }), owning(rod, ...bushings));
    expect(open.find((m) => m.kind === 'through mandrel')?.missing[0]).toContain('a spacer of about');
  });

  it('spacers fill a gap best without going over it', () => {
    const owned = [3, 5, 7, 11].map((l) => fixture('spacer', 8, l, `s${l}`));
    expect(spacersFor(16.5, owned)).toMatchObject({ left: 0.5 });
    expect(spacersFor(2, owned).spacers).toEqual([]);
    expect(spacersFor(100, owned).left).toBeCloseTo(74, 9);
  });

  it('no other choice of spacers fills a gap better', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 5, max: 400 }), { maxLength: 9 }),
        fc.integer({ min: 0, max: 1500 }),
        (tenths, gap) => {
          const owned = tenths.map((t, i) => fixture('spacer', 8, t / 10, `s${i}`));
          const { spacers, left } = spacersFor(gap / 10, owned);
          let best = 0;
          for (let mask = 0; mask < 2 ** tenths.length; mask++) {
            const sum = tenths.reduce((s, t, i) => s + ((mask >> i) & 1 ? t : 0), 0);
            if (sum <= gap) best = Math.max(best, sum);
          }
          const used = spacers.reduce((s, f) => s + f.length, 0);
          return (
            Math.abs(used - best / 10) < 1e-9 &&
            Math.abs(left - (gap - best) / 10) < 1e-9 &&
            new Set(spacers.map((f) => f.id)).size === spacers.length
          );
        },
      ),
    ));

  it('a recess within the jaws, a straight end in a collet with its draw bar, a blind hole on a dowel', () => {
    const shop = owning(fixture('collet', 25, 30), fixture('draw bar', 10, 0), fixture('dowel', 12, 40));
    const recess: Hole = { ...bore, steps: [{ diameter: dim(12), depth: dim(9) }] };
    const jaws = workshop.chucks[0]!.jaws.map((j) => ({ ...j, recessLeast: 11, recessMost: 16 }));
    const withJaws = { ...shop, chucks: [{ ...workshop.chucks[0]!, jaws }] };
    const found = kinds(wish({ holes: [recess] }), withJaws);
    expect(found).toEqual(expect.arrayContaining(['recess', 'collet', 'dowel']));
    const without = proposeMounts(wish({ holes: [recess] }), owning(fixture('collet', 25, 30)));
    expect(without.find((m) => m.kind === 'collet')?.missing).toEqual(['a draw bar']);
    const inTaper = { ...fixture('collet', 25, 30), fits: 'MT2' };
    const screwed = { ...fixture('collet', 25, 30), fits: 'M33 × 3.5' };
    const missing = [inTaper, screwed].map(
      (collet) => proposeMounts(wish(), owning(collet)).find((m) => m.kind === 'collet')?.missing,
    );
    expect(missing).toEqual([['a draw bar'], []]);
    expect(kinds(wish({ holes: [recess] }), shop)).not.toContain('recess');
  });

  it('squat work on a screw or taped, never in resin by a screw', () => {
    const shop = owning(fixture('screw', 8, 16), fixture('tape plate', 60, 20));
    expect(kinds(wish({ diameter: 80, length: 30 }), shop)).toEqual(
      expect.arrayContaining(['screw', 'tape plate']),
    );
    expect(kinds(wish({ diameter: 25, length: 90 }), shop)).not.toContain('screw');
  });

  it('a ball in cups and between friction faces; both say what is missing', () => {
    const cups = proposeMounts({ ...wish(), outline: ball(60) }, workshop);
    expect(cups.find((m) => m.kind === 'cups')?.missing[0]).toContain('cups between ⟦30⟧ and ⟦60⟧');
    expect(cups.map((m) => m.kind)).toContain('friction pair');
  });
});

describe('what sweeps off the axis', () => {
  const axis = { shift: dim(12), direction: 0, tilt: 0 };
  const part = {
    ...wish().part,
    turnings: [wish().part.turnings[0], { ...wish().part.turnings[0], id: 't2', axis }],
  } as Part;

  it('is held against bed and rest', () => {
    const lathe = { ...workshop.lathe, swing: 300, overRest: 60 };
    const work = { ...held(wish(), { diagonal: 40, length: 110 }), part };
    const [mount] = proposeMounts({ ...wish(), part }, workshop);
    expect(mountFindings(mount, work, { ...workshop, lathe }).map((f) => f.id)).toEqual(
      expect.arrayContaining(['mount.sweep.t2.rest.p', 'mount.clear.t2.p']),
    );
  });
});

describe('what a bead and a cove ask of the holding', () => {
  const outlineWith = (start: number, ...elements: Element[]): MountWish => {
    const turning: Turning = { id: 't', startDiameter: dim(start), elements };
    const part = { ...wish().part, turnings: [turning] } as Part;
    return { ...wish(), part, outline: outlineOf(turning) };
  };
  const shaft = (id: string): Element => ({ kind: 'cylinder', id, length: dim(80) });

  it('jaws grip what a bead leaves room for, not what its ends do', () => {
    const bead: Element = { kind: 'bead', id: 'b', length: dim(20), crown: dim(32) };
    const found = proposeMounts(outlineWith(12, bead), workshop).find((m) => m.kind === 'chuck');
    // ends of 12 alone would leave no jaws from 15 up that fit
    expect(found?.missing).toEqual([]);
  });

  it('a shaft with a deep cove whips between centres', () => {
    const stout = outlineWith(24, shaft('a'), shaft('b'));
    const cove: Element = { kind: 'cove', id: 'c', length: dim(24), bottom: dim(4) };
    const thin = outlineWith(24, shaft('a'), cove, shaft('b'));
    const said = (w: MountWish) => {
      const mount = proposeMounts(w, workshop).find((m) => m.kind === 'between centres')!;
      return mountFindings(mount, held(w, { diagonal: 40, length: 180 }), workshop).map((f) => f.id);
    };
    expect(said(stout)).not.toContain('mount.slender.p');
    expect(said(thin)).toContain('mount.slender.p');
  });
});

describe('room on the bed', () => {
  it('is taken by the blank and by how far its fixture stands out', () => {
    const said = (reach: number) => {
      const [mount] = proposeMounts(wish(), workshop);
      const work = held(wish(), { diagonal: 30, length: 400 });
      return mountFindings({ ...mount, reach }, work, workshop).map((f) => f.id);
    };
    // 500 between centres: 400 and 100 just fit
    expect(said(100)).not.toContain('mount.bed.p');
    expect(said(100.1)).toContain('mount.bed.p');
  });
});

describe('what must fit the lathe', () => {
  const lathe = { ...workshop.lathe, spindleThread: 'M33 × 3.5', taper: 'MT2' };
  const fitted = (fits: string) => {
    const shop = { ...workshop, lathe, chucks: workshop.chucks.map((c) => ({ ...c, fits })) };
    const chuck = proposeMounts(wish(), shop).find((m) => m.kind === 'chuck')!;
    return mountFindings(chuck, held(wish(), { diagonal: 40, length: 110 }), shop).map((f) => f.id);
  };

  it('is its spindle thread or its taper, however it is written', () => {
    expect(fitted('M33x3.5')).toEqual([]);
    expect(fitted('mt2')).toEqual([]);
    expect(fitted('M30 × 3.5')).toEqual(['mount.fits.scrollchuck.p']);
  });

  it('an offset plate carries a shifted axis, not a leaning one, and not farther than it reaches', () => {
    const plate = owning(fixture('offset plate', 60, 20));
    const shifted = (shift: number, tilt = 0) => {
      const second = {
        ...wish().part.turnings[0],
        id: 't2',
        axis: { shift: dim(shift), direction: 90, tilt },
      };
      const part = { ...wish().part, turnings: [wish().part.turnings[0], second] } as Part;
      return proposeMounts({ ...wish(), part }, plate).find((m) => m.kind === 'offset plate');
    };
    expect(shifted(12)?.fixtures?.[0]).toContain('turned to 90°');
    expect(shifted(40)?.missing).toEqual(['an offset plate that reaches ⟦40⟧']);
    expect(shifted(12, 3)).toBeUndefined();
  });
});

describe('a bit in the tailstock', () => {
  it('needs room on the bed, a drill chuck, and travel', () => {
    const [mount] = proposeMounts(wish(), workshop);
    const work = { ...held(wish(), { diagonal: 40, length: 380 }), tailDrill: { depth: 120, bit: 150 } };
    const lathe = { ...workshop.lathe, quillTravel: 50 };
    const found = mountFindings(mount, work, { ...workshop, lathe });
    expect(found.map((f) => f.id)).toEqual(
      expect.arrayContaining(['mount.drillroom.p', 'mount.drillchuck.p', 'mount.quill.p']),
    );
    expect(found.find((f) => f.id === 'mount.quill.p')?.remedy).toContain('3 goes');
  });
});

describe('figures and centring', () => {
  it('what is left between the centres, what sweeps, how slender', () => {
    const [mount] = proposeMounts(wish(), workshop);
    const figures = mountFigures(mount, held(wish(), { diagonal: 40, length: 110 }), workshop);
    expect(figures.map((f) => [f.id, f.value])).toEqual([
      ['mount.left', 390],
      ['mount.swing', 40],
      ['mount.slender', 4.4],
    ]);
  });

  it('every form of stock has its own way to its centre, the rougher the less sure', () => {
    const errors = STOCK_FORMS.map((form) => centringOf(form, 40).error);
    expect(errors).toEqual([...errors].sort((a, b) => a - b));
    expect(centringOf('square', 40).words[0]).toContain('⟦20⟧');
  });
});

it('how it is held goes on a sentence, and a thread keeps its capital', () => {
  expect(heldHow({ label: 'On the M8 mandrel' })).toBe('on the M8 mandrel');
  expect(heldHow({ label: 'Between centres' })).toBe('between centres');
});
