import { copyingOf, templateFindings, type Missed, type PartPlan, type Workshop } from '@compas/core';
import { Link } from 'react-router';
import { Findings } from '../ui/Findings.js';
import { Length, Say } from '../ui/Length.js';
import { Print1to1 } from './Paper.js';
import { PrintedCheck } from './PrintedCheck.js';
import { useTemplate } from './useTemplate.js';

interface TemplatePanelProps {
  part: PartPlan;
  workshop: Workshop;
  batchId?: string;
}

/** Template for the copying attachment: what it reaches, what it leaves, where it is split. */
export function TemplatePanel({ part, workshop, batchId }: TemplatePanelProps) {
  const copying = copyingOf(workshop);
  const template = useTemplate(part.outline, workshop);
  const { left, gouged, corners, splitAt } = template;
  const findings = templateFindings(part.partId, template, copying);
  return (
    <>
      <h2>
        {left.length + gouged.length === 0
          ? 'The template reaches everything'
          : `The template misses ${left.length + gouged.length} ${left.length + gouged.length === 1 ? 'place' : 'places'}`}
      </h2>
      <p>
        Stylus <Radius mm={copying.stylus} />, cutter <Radius mm={copying.cutter} />, from{' '}
        <Link to="/workshop/gauges">the workshop</Link>.
      </p>
      <Findings findings={findings} empty="" />
      {left.length + gouged.length > 0 && (
        <table className="table" aria-label="What the template misses">
          <thead>
            <tr>
              <th>On the strip</th>
              <th className="number">From</th>
              <th className="number">to</th>
              <th className="number">at most, on the diameter</th>
            </tr>
          </thead>
          <tbody>
            {left.map((m) => (
              <MissedRow key={`left${m.x0}`} missed={m} words="▒ left standing" />
            ))}
            {gouged.map((m) => (
              <MissedRow key={`gouged${m.x0}`} missed={m} words="■ cut too deep" />
            ))}
          </tbody>
        </table>
      )}
      <p>
        Split <Length mm={splitAt} /> from the reference end, at the widest place: both halves are cut away
        from it, downhill.{' '}
        {corners.length === 0
          ? 'Its edge is smooth.'
          : `Its edge turns sharply in ${corners.length} ${corners.length === 1 ? 'place' : 'places'}: file them clean, feed slowly there.`}
      </p>
      <Print1to1 batchId={batchId} print="template" />
      <PrintedCheck length={part.outline.length} />
    </>
  );
}

function MissedRow({ missed, words }: { missed: Missed; words: string }) {
  return (
    <tr>
      <td>{words}</td>
      <td className="number">
        <Length mm={missed.x0} />
      </td>
      <td className="number">
        <Length mm={missed.x1} />
      </td>
      <td className="number">
        <Say text={`⟦~${2 * missed.by}⟧`} />
      </td>
    </tr>
  );
}

const Radius = ({ mm }: { mm: number }) =>
  mm === 0 ? (
    <>a knife edge</>
  ) : (
    <>
      radius <Length mm={mm} />
    </>
  );
