import { HERE } from '../../src/pattern/index.js';
import { live, own, spur } from './topPattern.js';
import { HIGH, LOW, type Writer } from '../../src/route/say/writer.js';

/** The handle that a cord is pulled through: drilled across while its blank is square, then turned between centres. */
export function makeLauncher(writer: Writer): void {
  const wood = 'launcher blank';
  const at = 15;
  writer
    .saw({
      wood,
      form: { kind: 'square', across: 30, length: 140 },
      pieces: [{ partId: 'launcher', n: 1, at: { ...HERE, at: [at, 0, 0] } }],
      title: 'Saw the blank of the launcher',
      words: ['Mark the first end and the first face.'],
    })
    .hold({
      wood,
      by: 'vise',
      place: 'drill press',
      drive: {
        by: 'vise',
        words: 'the vise of the drill press',
        on: { of: 'stock', id: 'stock', x0: 60, x1: 130 },
      },
      tail: null,
      keepsTrue: true,
      title: 'Lying in the vise, the first face up',
    })
    .boreAcross({
      wood,
      subject: 'eye',
      from: LOW,
      at: at + 15,
      angle: 0,
      diameter: 10.5,
      title: 'Drill the eye',
      tool: 'brad point bit 10.5',
    })
    .boreAcross({
      wood,
      subject: 'cord',
      from: LOW,
      at: at + 32,
      angle: 90,
      diameter: 3,
      title: 'Turn it a quarter and drill for the cord',
      tool: 'twist bit 3',
    })
    .takeOff(wood, 'Out of the vise', 'vise')
    .hold({
      wood,
      by: 'centres',
      place: 'lathe',
      drive: spur(0),
      tail: live(140),
      keepsTrue: true,
      title: 'Between centres, the first end at the drive',
    })
    .cut({
      wood,
      kind: 'rough',
      subject: 'launcher',
      profile: { from: LOW, x: 0, diameter: 28, to: [{ x: 140, diameter: 28 }] },
      title: 'Rough to round',
      tool: 'roughing gouge',
    })
    .cut({
      wood,
      kind: 'shape',
      subject: 'hand',
      profile: own('launcher', 'hand', at),
      title: 'Hand',
      tool: 'skew',
    })
    .cut({
      wood,
      kind: 'shape',
      subject: 'head',
      profile: own('launcher', 'head', at),
      title: 'Head',
      tool: 'skew',
    })
    .cut({
      wood,
      kind: 'part to a nib',
      subject: 'far end',
      profile: { from: HIGH, x: 10, diameter: 7, to: [{ x: 15, diameter: 7 }] },
      title: 'Part the far end down to a nib',
      tool: 'parting tool',
    })
    .cut({
      wood,
      kind: 'part to a nib',
      subject: 'reference end',
      profile: { from: LOW, x: 10, diameter: 7, to: [{ x: at, diameter: 7 }] },
      title: 'Part the reference end down to a nib',
      tool: 'parting tool',
    })
    .takeOff(wood, 'Stop the lathe, take it off')
    .part({
      kind: 'saw a nib',
      wood,
      subject: 'far nib',
      from: HIGH,
      mm: 15,
      into: ['launcher', null],
      title: 'Saw the nib of the far end and pare it flush',
      tool: 'fine saw',
    })
    .part({
      kind: 'saw a nib',
      wood: 'launcher',
      subject: 'reference nib',
      from: LOW,
      mm: at,
      into: [null, 'launcher'],
      title: 'Saw the nib of the reference end and pare it flush',
      tool: 'fine saw',
    });
}
