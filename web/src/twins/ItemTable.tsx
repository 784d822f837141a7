import { pieceLabel, stepsOfPiece, stepsOfPlan, type BatchProgress, type PieceProgress } from '@compas/core';
import { Length } from '../ui/Length.js';
import type { BatchDetail } from '../api/batch.js';

/** The items of a batch: which pieces each is made of, and whether it held what it was tried for. */
export function ItemTable({ batch, progress }: { batch: BatchDetail; progress: BatchProgress }) {
  const { plan, inputs } = batch.snapshot;
  const steps = plan.item?.steps ?? [];
  const [first] = steps;
  if (!first) return null;
  const checks = (inputs.pattern.checks ?? []).filter((c) => steps.some((s) => s.checks?.includes(c.id)));
  const carriers = progress.pieces.filter((p) => p.partId === first.partId);
  const label = (piece: number) => pieceLabel(batch.lots, plan.parts, piece);
  const whole = carriers.filter((p) => stateOf(p, batch) === 'together').length;
  return (
    <section aria-labelledby="items">
      <h2 id="items">
        {whole} of {inputs.order.pieces} items are together
      </h2>
      <table className="table">
        <thead>
          <tr>
            <th>Item</th>
            <th>Made of</th>
            {checks.map((c) => (
              <th key={c.id}>{c.words}</th>
            ))}
            <th>Stands</th>
          </tr>
        </thead>
        <tbody>
          {carriers.map((piece) => (
            <tr key={piece.piece}>
              <td className="figures">{piece.n}</td>
              <td>{[piece.piece, ...[...piece.joined.values()].flat()].map(label).join(', ')}</td>
              {checks.map((c) => (
                <td key={c.id}>
                  <Checked
                    passed={piece.checked.get(c.id)}
                    value={valueOf(batch, piece.piece, c.id)}
                    unit={c.unit}
                  />
                </td>
              ))}
              <td>{STANDS[stateOf(piece, batch)]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Checked({
  passed,
  value,
  unit = '',
}: {
  passed: boolean | undefined;
  value: number | null;
  unit?: string | undefined;
}) {
  if (passed === undefined) return <>–</>;
  return (
    <>
      {passed ? '✓' : '■ failed'}{' '}
      {value !== null && (unit === 'mm' ? <Length mm={value} /> : `${value} ${unit}`)}
    </>
  );
}

const STANDS = {
  together: '✓ together',
  failed: '■ failed a check',
  lost: '■ rejected',
  curing: '· joined, not looked over yet',
  apart: '· not joined yet',
};

/** An item is together when all is done to it; a check that failed keeps it from being good. */
function stateOf(piece: PieceProgress, { snapshot: { plan } }: BatchDetail): keyof typeof STANDS {
  if (piece.rejected !== null) return 'lost';
  if ([...piece.checked.values()].includes(false)) return 'failed';
  const own = stepsOfPiece(stepsOfPlan(plan), piece);
  if (own.every((s) => piece.done.has(s.id))) return 'together';
  return own.some((s) => s.takes && piece.done.has(s.id)) ? 'curing' : 'apart';
}

/** What was found when a check was last made. */
function valueOf({ events }: BatchDetail, piece: number, checkId: string): number | null {
  const found = events.findLast(
    (e) => e.piece === piece && e.body.kind === 'checked' && e.body.checkId === checkId,
  );
  return found?.body.kind === 'checked' ? (found.body.value ?? null) : null;
}
