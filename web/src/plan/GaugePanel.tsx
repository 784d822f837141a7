import { copyingOf, missingSlots, radiiOf, threeUnits, type PartPlan, type Workshop } from '@compas/core';
import { Length, Say } from '../ui/Length.js';
import { AddGauges } from './AddGauges.js';
import { Print1to1 } from './Paper.js';

interface GaugePanelProps {
  part: PartPlan;
  workshop: Workshop;
  batchId?: string;
}

/** Which gauge serves each cut, and the sheet of those that are missing. */
export function GaugePanel({ part, workshop, batchId }: GaugePanelProps) {
  const { sizing } = part.layout;
  const missing = missingSlots(sizing);
  const radii = radiiOf(part.outline);
  const fixed = sizing.filter((cut) => cut.gauge.gauge !== null && cut.gauge.gauge.kind !== 'calliper');
  return (
    <>
      <h2>
        {fixed.length} of {sizing.length} cuts have a fixed gauge
      </h2>
      <table className="table">
        <tbody>
          {sizing.map((cut) => (
            <tr key={cut.id}>
              <td>{cut.label}</td>
              <td className="number">
                <b>
                  <Length mm={cut.cutTo} />
                </b>
              </td>
              <td>
                <Say text={cut.gauge.words} />
              </td>
              <td className="number soft">
                {cut.cutTo > cut.finished ? (
                  <>
                    <Length mm={cut.cutTo - cut.finished} /> left for sanding
                  </>
                ) : (
                  'nothing for sanding'
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {missing.length === 0 ? (
        <p>Nothing has to be set: every size has its gauge.</p>
      ) : (
        <section className="sheet">
          <h3>Slots to cut from ply or card, so that nothing is set</h3>
          <AddGauges missing={missing} />
          <Print1to1 batchId={batchId} print="gauges" />
          <p className="soft">
            SVG and DXF allow for a kerf of <Length mm={copyingOf(workshop).templateKerf} />.
          </p>
        </section>
      )}
      {radii.length > 0 && (
        <section className="sheet">
          <h3>Radius gauges</h3>
          <Sizes all={radii.map(threeUnits)} />
          <Print1to1 batchId={batchId} print="radii" />
        </section>
      )}
    </>
  );
}

function Sizes({ all }: { all: readonly string[] }) {
  return (
    <ul className="sizes">
      {all.map((size) => (
        <li key={size} className="figures">
          {size}
        </li>
      ))}
    </ul>
  );
}
