import {
  belowCorner,
  isBlankOf,
  thingsNeeded,
  truedAcross,
  type Blank,
  type NeededThing,
  type PartPlan,
  type Plan,
  type PlanInputs,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { moveStock, stockQuery, type HeldStock } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { Length, Say } from '../ui/Length.js';
import { Trouble } from '../ui/Trouble.js';
import { OwnList } from './own/OwnList.js';
import { WasteChoice } from './own/WasteChoice.js';

interface StockStageProps {
  plan: Plan;
  inputs: PlanInputs;
  batchId?: string;
}

/** The blank: what to saw, and how its end is marked. */
export function StockStage({ plan, inputs, batchId }: StockStageProps) {
  const [part] = plan.parts;
  const { blank } = part;
  const form = part.centring?.form ?? 'square';
  const trued = truedAcross(part.outline, blank);
  return (
    <div className="column">
      <h2>
        {form === 'square' ? 'Saw' : `From ${form} stock cut`} {blank.count}{' '}
        {blank.count === 1 ? 'blank' : 'blanks'}, <Length mm={blank.section} />{' '}
        {form === 'square' ? 'square' : 'or more across'}, <Length mm={blank.length} /> long
      </h2>
      {batchId !== undefined && (
        <BlanksOnShelf batchId={batchId} part={part} several={plan.parts.length > 1} />
      )}
      <div className="row at-top gap-wide">
        {form === 'square' && (
          <EndOfBlank blank={blank} diameter={part.largestDiameter} clips={!part.outline.squares} />
        )}
        <div className="beside">
          {form === 'square' ? (
            <>
              <p>
                {trued < blank.section && (
                  <>
                    Plane all four faces to <Length mm={trued} />: where it stays square they are what is
                    seen.{' '}
                  </>
                )}
                Set the marking gauge to <Length mm={trued / 2} /> and draw from all four sides: the centre
                lies in the small square.
              </p>
              {!part.outline.squares && (
                <p>
                  For an octagon lay it corner up in a V cradle and saw{' '}
                  <Length mm={belowCorner(blank.octagon)} /> below the corner, on all four: the flats are then{' '}
                  <Length mm={blank.octagon.flat} /> wide.
                </p>
              )}
            </>
          ) : (
            part.centring?.words.map((words) => (
              <p key={words}>
                <Say text={words} />
              </p>
            ))
          )}
          <p className="soft">
            {blank.perBlank > 1 ? `${blank.perBlank} pieces lie end to end in one blank. ` : ''}A piece of{' '}
            {part.material.name.toLowerCase()} weighs {part.mass.toFixed(0)} g when it is turned (
            {part.material.certainty}).
          </p>
        </div>
      </div>
      <OwnList part={part} workshop={inputs.workshop} kinds={['waste']} />
      <WasteChoice mount={part.mount} />
      <Needed things={thingsNeeded(plan)} />
    </div>
  );
}

/** What has to be there beside the wood, for all parts together. */
function Needed({ things }: { things: NeededThing[] }) {
  if (things.length === 0) return null;
  return (
    <section aria-labelledby="needed">
      <h2 id="needed">Needed beside the wood</h2>
      <table className="table">
        <tbody>
          {things.map(({ id, what, count, onHand, words }) => (
            <tr key={id}>
              <td className="number figures">{count > 0 ? `${count} ×` : ''}</td>
              <td>
                {what}
                {words !== '' && (
                  <>
                    , <Say text={words} />
                  </>
                )}
              </td>
              <td>
                {onHand !== null &&
                  (onHand >= count ? `${onHand} on the shelf` : `▲ only ${onHand} on the shelf`)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Whether the blanks of a batch are cut, where their wood is from, and where to plan the cutting. */
function BlanksOnShelf({ batchId, part, several }: { batchId: string; part: PartPlan; several: boolean }) {
  const wanted = part.blank.count;
  const stock = useQuery(stockQuery);
  const use = useChange(takeAll, 'stock');
  if (!stock.data) return null;
  const { id: materialId } = part.material;
  const own = stock.data.filter((h) => isBlankOf(h.item, batchId, several ? { ...part, materialId } : null));
  const there = own.reduce((sum, h) => sum + h.amount, 0);
  const origins = [
    ...new Set(own.flatMap(({ item }) => ('origin' in item && item.origin ? [item.origin] : []))),
  ];
  return (
    <div>
      {own.length === 0 ? (
        <p>
          None is cut yet. <Link to={`/stock/cutting?batch=${batchId}`}>Which boards to cut them from</Link>
        </p>
      ) : (
        <p>
          {there === 0
            ? 'Its blanks were cut and are used. '
            : `✔ ${there} of ${wanted} are cut and on the shelf. `}
          {there > 0 && (
            <Button size="small" loading={use.isPending} onClick={() => use.mutate(own)}>
              Book them as used
            </Button>
          )}
          {origins.length > 0 && ` Wood from: ${origins.join(', ')}.`}
        </p>
      )}
      <Trouble error={use.error} />
    </div>
  );
}

/** Takes what is left of some stock off the shelf. */
async function takeAll(held: readonly HeldStock[]): Promise<void> {
  for (const { item, amount } of held)
    if (amount > 0) await moveStock({ id: item.id, kind: 'used', amount, note: 'to the lathe' });
}

/** End of the blank: the square, the octagon in it where corners may be clipped, the round that comes out of it. */
function EndOfBlank({ blank, diameter, clips }: { blank: Blank; diameter: number; clips: boolean }) {
  const size = 220;
  const scale = (size - 20) / blank.section;
  const side = blank.section * scale;
  const clip = blank.octagon.clipLeg * scale;
  const o = 10;
  const far = o + side;
  const octagon = [
    [o + clip, o],
    [far - clip, o],
    [far, o + clip],
    [far, far - clip],
    [far - clip, far],
    [o + clip, far],
    [o, far - clip],
    [o, o + clip],
  ];
  return (
    <svg
      width={size}
      height={size}
      role="img"
      aria-label={`End of the blank with ${clips ? 'octagon and ' : ''}finished round`}
    >
      <rect x={o} y={o} width={side} height={side} fill="#e9dcc0" stroke="#6b6252" />
      {clips && (
        <polygon
          points={octagon.map((p) => p.join()).join(' ')}
          fill="none"
          stroke="#17695c"
          strokeWidth={1.6}
        />
      )}
      <circle
        cx={o + side / 2}
        cy={o + side / 2}
        r={(diameter / 2) * scale}
        fill="none"
        stroke="#3c3226"
        strokeDasharray="5 3"
      />
      <path d={`M${o},${o} L${far},${far} M${far},${o} L${o},${far}`} stroke="#8d8371" strokeWidth={0.8} />
    </svg>
  );
}
