import { len } from '../../measure/index.js';
import { facesLeft, HERE } from '../../pattern/index.js';
import type { Bench } from './bench.js';
import { drillAt, squareEnds } from './drill.js';
import { secondMarks } from './holds.js';
import { each, MINUTES } from './minutes.js';

/** The blank is sawn and centred; what is drilled while it is square is drilled; what must be in early is put in. */
export function prepare(bench: Bench): void {
  const { work, wood, writer } = bench;
  const { kind, across, length } = work.stock;
  const left = facesLeft(work.outline);
  writer.saw({
    wood,
    form: work.stock,
    sawn: work.sawn,
    ...(work.green ? { moisture: 'green' as const } : {}),
    madeOf: work.madeOf,
    pieces: bench.lies.map(({ before }, i) => ({
      partId: work.part.id,
      n: i + 1,
      at: { ...HERE, at: [before, 0, 0] },
    })),
    title: 'Saw the blank',
    words: [
      kind === 'square'
        ? `Saw to ${len(work.sawn)} square, ${len(length)} long.`
        : `Cut to ${len(length)}; at its thinnest the ${kind} stock is ${len(across)} or more.`,
      ...(work.perBlank > 1
        ? [
            `${work.perBlank} pieces lie in it end to end, ${len(work.gap)} apart; the first is the one at the tail.`,
          ]
        : []),
      ...(left === null ? [] : [left === 'planed' ? planedTo(across) : FROM_THE_SAW]),
      'Keep knots, checks and glue lines out of it. Mark its first end: all lengths begin there.',
    ],
    minutes: each(MINUTES.saw),
  });
  squareEnds(bench);
  markCentres(bench);
  bench.forEach(() => drillAt(bench, 'square blank'));
  fitIn(bench, 'before turning');
}

/** How the faces are left that stay in the piece. mm */
const planedTo = (across: number): string =>
  `Plane all four faces, to ${len(across)} square: where it stays square they are what is seen.`;
const FROM_THE_SAW =
  'A fine, sharp blade and a slow feed: where it stays square the saw’s faces are what is seen. Do not plane them.';

function markCentres(bench: Bench): void {
  const { work, wood, writer } = bench;
  // on an offset plate its holes shift the work, not marks
  const further = work.mount.kind === 'offset plate' ? [] : work.part.turnings.slice(1);
  writer.look('mark centres', {
    wood,
    subject: 'centres',
    on: [],
    title: 'Mark centres',
    words: [
      ...work.centring,
      ...further.flatMap(({ axis }) => secondMarks(bench, axis)),
      ...(work.drilling.length > 0 ? ['Punch the centre of the end that is drilled.'] : []),
    ],
    figure: { is: 'gauge line', mm: work.stock.across / 2 },
    stage: 'stock',
    minutes: each(MINUTES.centres),
  });
  if (work.clip !== null)
    writer.clip({
      wood,
      below: work.clip.below,
      across: work.stock.across,
      title: 'Clip the corners',
      words: [`Corner up in a V cradle: the cut lies ${len(work.clip.below)} below the corner, on all four.`],
      minutes: each(MINUTES.clip),
    });
}

/** Hardware goes in at its moment; only that of one end when it is said. */
export function fitIn(
  bench: Bench,
  when: Bench['work']['fits'][number]['when'],
  end?: Bench['lie']['drive'],
): void {
  const { work, wood, writer } = bench;
  for (const fit of work.fits.filter((f) => f.when === when && (end === undefined || f.end === end)))
    writer.fix({
      wood,
      subject: fit.id,
      kitId: fit.kitId,
      from: bench.datum(fit.end),
      enters: fit.enters,
      ...(fit.cureMinutes === null
        ? {}
        : { cure: { what: 'the glue cures', minutes: { turn: fit.cureMinutes, use: fit.cureMinutes } } }),
      ...(fit.figure ? { figure: fit.figure } : {}),
      title: fit.title,
      words: fit.words,
      minutes: each(fit.minutes),
    });
}
