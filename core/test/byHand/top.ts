import { HERE, ownSegments } from '../../src/pattern/index.js';
import type { Route } from '../../src/route/operation.js';
import { saidOf } from '../../src/route/saidProfile.js';
import { makeLauncher } from './launcher.js';
import { live, own, outlineNamed, spur, topLengths } from './topPattern.js';
import { HIGH, LOW, Writer } from '../../src/route/say/writer.js';

/** Waste before the body in its blank; the tip of the stem comes out into it. */
const BEFORE = 8;
/** Where the tip of the stem comes to lie in the glued-up top. */
const TIP = 2;

/** A stem is glued into a bored body and both are turned true together; the launcher is made beside it. */
export function topRoute(): Route {
  const writer = new Writer(topLengths);
  boreBody(writer);
  turnStem(writer);
  turnTogether(writer);
  makeLauncher(writer);
  return writer.route;
}

function boreBody(writer: Writer): void {
  const wood = 'body blank';
  writer
    .saw({
      wood,
      form: { kind: 'square', across: 54, length: 40 },
      pieces: [{ partId: 'body', n: 1, at: { ...HERE, at: [BEFORE, 0, 0] } }],
      title: 'Saw the blank of the body',
    })
    .hold({
      wood,
      by: 'vise',
      place: 'drill press',
      drive: {
        by: 'vise',
        words: 'the vise of the drill press',
        on: { of: 'stock', id: 'stock', x0: 2, x1: 38 },
      },
      tail: null,
      keepsTrue: true,
      title: 'Flat in the vise',
    })
    .bore({
      kind: 'drill',
      wood,
      subject: 'bore',
      from: LOW,
      steps: [{ diameter: 10, depth: 40 }],
      pointAngle: 180,
      title: 'Bore it through for the stem',
      words: ['Come out slowly onto a waste block.'],
      tool: 'brad point bit 10',
    })
    .takeOff(wood, 'Out of the vise', 'vise');
}

function turnStem(writer: Writer): void {
  const wood = 'stem blank';
  writer
    .saw({
      wood,
      form: { kind: 'square', across: 18, length: 104 },
      pieces: [{ partId: 'stem', n: 1, at: HERE }],
      title: 'Saw the blank of the stem',
      words: ['Mark the end that goes into the body.'],
    })
    .hold({
      wood,
      by: 'centres',
      place: 'lathe',
      drive: spur(104),
      tail: live(0),
      keepsTrue: true,
      title: 'Between centres, the marked end at the tail',
    })
    .cut({
      wood,
      kind: 'rough',
      subject: 'stem',
      profile: { from: LOW, x: 0, diameter: 16, to: [{ x: 104, diameter: 16 }] },
      title: 'Rough to round',
      tool: 'roughing gouge',
    })
    .cut({
      wood,
      kind: 'turn a tenon',
      subject: 'jaws',
      profile: { from: HIGH, x: 0, diameter: 15, to: [{ x: 20, diameter: 15 }] },
      title: 'Turn a tenon for the jaws',
      tool: 'parting tool',
    })
    .cut({
      wood,
      kind: 'size',
      subject: 'peg',
      profile: { from: LOW, x: 0, diameter: 10, to: [{ x: 38, diameter: 10 }] },
      title: 'Size the peg',
      tool: 'parting tool',
    })
    .look('try the fit', {
      wood,
      subject: 'peg',
      on: [{ of: 'skin', id: 'size:peg', x0: 0, x1: 38 }],
      against: { wood: 'body blank', on: [{ of: 'hole', id: 'bore:bore', x0: 0, x1: 40 }] },
      title: 'Try the peg',
      words: ['Tailstock back, the body pushed on: home by hand, no shake.'],
    })
    .takeOff(wood, 'Off the centres');
}

function turnTogether(writer: Writer): void {
  const wood = 'top';
  writer
    .glue({
      subject: 'j1',
      into: wood,
      outer: 'body blank',
      inner: 'stem blank',
      from: HIGH,
      deep: 38,
      enters: LOW,
      cure: { what: 'the wood glue cures', minutes: { handle: 30, turn: 720 } },
      title: 'Glue the stem into the body',
      words: ['Turn it a quarter as it goes in.'],
    })
    .hold({
      wood,
      by: 'chuck',
      place: 'lathe',
      drive: { by: 'jaws', words: 'the 15 mm jaws', on: { of: 'skin', id: 'tenon:jaws', x0: 88, x1: 106 } },
      tail: {
        by: 'live centre',
        words: 'the live centre',
        on: { of: 'hole', id: 'bore:bore', x0: 0, x1: 0 },
      },
      keepsTrue: false,
      title: 'In the chuck by its tenon, live centre in the bore',
    })
    .cut({
      wood,
      kind: 'rough',
      subject: 'top',
      profile: {
        from: LOW,
        x: 0,
        diameter: 52,
        to: [
          { x: 40, diameter: 52 },
          { x: 40, diameter: 15 },
          { x: 84, diameter: 15 },
        ],
      },
      title: 'Rough both round, and true to each other',
      tool: 'spindle gouge',
    })
    .cut({
      wood,
      kind: 'shape',
      subject: 'rim',
      profile: own('body', 'rim', BEFORE),
      title: 'Rim',
      tool: 'spindle gouge',
    })
    .cut({
      wood,
      kind: 'shape',
      subject: 'upper',
      profile: {
        ...own('body', 'upper', BEFORE),
        to: [...own('body', 'upper', BEFORE).to, { x: 32, diameter: 10 }, { x: 40, diameter: 10 }],
      },
      title: 'Upper side from the rim down to the stem, and the waste behind it',
      tool: 'spindle gouge',
    })
    .tailAway('Tailstock away')
    .cut({
      wood,
      kind: 'shape',
      subject: 'under',
      profile: {
        from: LOW,
        x: TIP,
        diameter: 0,
        to: [
          { x: BEFORE, diameter: 10, elementId: 'tip' },
          { x: BEFORE, diameter: 20 },
          ...own('body', 'under', BEFORE).to,
        ],
      },
      title: 'Underside down to the stem, and its tip',
      words: ['Light cuts; the stem behind it is still stout.'],
      tool: 'spindle gouge',
    })
    .part({
      kind: 'part off',
      wood,
      subject: 'waste',
      from: LOW,
      mm: TIP,
      into: [null, wood],
      title: 'Let the waste before the tip fall',
      tool: 'skew',
    })
    // the grip is the thin place between the jaws and the body: it comes last
    .cut({
      wood,
      kind: 'shape',
      subject: 'grip',
      profile: saidOf(
        ['collar', 'grip'].flatMap((id) => ownSegments(outlineNamed('stem'), id)),
        LOW,
        { x: 0, runs: 1 },
      ),
      title: 'Collar and grip',
      tool: 'skew',
    })
    .treat({
      wood,
      kind: 'coat',
      subject: 'top',
      pass: 'wax',
      from: LOW,
      stretches: [
        {
          on: ['rim', 'upper', 'under', 'grip'].map((id) => ({ of: 'skin' as const, id: `shape:${id}` })),
          x0: 0,
          x1: 76,
        },
      ],
      title: 'Wax, and burnish with shavings',
    })
    .part({
      kind: 'part off',
      wood,
      subject: 'stem',
      from: LOW,
      mm: 76,
      into: [wood, null],
      title: 'Part off at the end of the grip',
      words: ['Lightly, the other hand open under it.'],
      tool: 'skew',
    });
}
