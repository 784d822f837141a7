import {
  decisionWords,
  usualChoices,
  type Decision,
  type PartPlan,
  type PlanInputs,
  type ScopedWay,
} from '@compas/core';
import { Button } from 'antd';
import { dayWords } from '../../ui/clock.js';
import { Say } from '../../ui/Length.js';
import { LASTING_SCOPES, scopeWords, useDeciding } from './deciding.js';
import { namesOf } from './names.js';
import { Otherwise } from './Otherwise.js';

interface AlwaysSoProps {
  part: PartPlan;
  inputs: PlanInputs;
  /** what is chosen for this order */
  decides: Decision;
  /** for the button and for whoever hears it */
  label: string;
  scopes?: typeof LASTING_SCOPES;
}

/** What is chosen for this order can be chosen for good; what is chosen for good already stands here, with the way back. */
export function AlwaysSo({ part, inputs, decides, label, scopes = LASTING_SCOPES }: AlwaysSoProps) {
  const drawn = inputs.pattern.parts.find((p) => p.id === part.partId) ?? inputs.pattern.parts[0];
  const lasting = usualChoices(drawn, inputs.pattern, part.material.id, inputs.workshop).from.filter(
    ({ way }) => isAbout(way.decides, decides),
  );
  const deciding = useDeciding();
  const canLast = scopes.some((s) => deciding?.scopes.includes(s));
  const [narrowest] = lasting;
  const isSo = narrowest !== undefined && isSame(narrowest.way.decides, decides);
  return (
    <>
      {lasting.length > 0 && (
        <ul className="own" aria-label={`Always: ${label}`}>
          {lasting.map((scoped, i) => (
            <Lasting
              key={scoped.way.id}
              scoped={scoped}
              part={part}
              inputs={inputs}
              followed={i === 0 && isSo}
            />
          ))}
        </ul>
      )}
      {!isSo && canLast && (
        <Otherwise label={label} scopes={scopes} wanted={() => decides} carries="whatever is ordered then">
          <Say text={decisionWords(decides, namesOf(part, inputs.workshop, null))} />
        </Otherwise>
      )}
    </>
  );
}

/** Whether two decisions are about the same choice. */
const isAbout = (a: Decision, b: Decision): boolean =>
  a.kind === b.kind && (a.kind !== 'drill' || b.kind !== 'drill' || a.holeId === b.holeId);

/** Whether they come to the same, whatever the order of their fields. */
const isSame = (a: Decision, b: Decision): boolean =>
  Object.entries(a).every(([key, value]) => Object.entries(b).some(([k, v]) => k === key && v === value));

interface LastingProps {
  scoped: ScopedWay;
  part: PartPlan;
  inputs: PlanInputs;
  /** this order does it so */
  followed: boolean;
}

function Lasting({ scoped, part, inputs, followed }: LastingProps) {
  const deciding = useDeciding();
  const { way, scope } = scoped;
  const words = decisionWords(way.decides, namesOf(part, inputs.workshop, null));
  return (
    <li>
      <b>
        {followed ? 'Always so: ' : 'Not this time: '}
        <Say text={words} />
      </b>
      <span className="soft">
        {' · '}
        {scopeWords(scope, part.material.name)}
        {way.by !== '' && ` · ${way.by}, ${dayWords(way.at.slice(0, 10))}`}
        {way.why !== '' && ` · “${way.why}”`}
      </span>
      {deciding?.scopes.includes(scope) && (
        <Button size="small" aria-label={`Never again: ${words}`} onClick={() => deciding.takeBack(scoped)}>
          Never again
        </Button>
      )}
    </li>
  );
}
