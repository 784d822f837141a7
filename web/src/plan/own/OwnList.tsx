import {
  decisionWords,
  hasUsual,
  type DecisionKind,
  type FollowedWay,
  type PartPlan,
  type ScopedWay,
  type Workshop,
} from '@compas/core';
import { Button } from 'antd';
import { dayWords } from '../../ui/clock.js';
import { Say } from '../../ui/Length.js';
import { isWide, scopeWords, useDeciding } from './deciding.js';
import { namesOf } from './names.js';

interface OwnListProps {
  part: PartPlan;
  workshop: Workshop;
  kinds: readonly DecisionKind[];
  /** followed by the item, not by this part alone */
  more?: readonly FollowedWay[];
}

/** What is done here otherwise than usual: what, instead of what, by whom and why, and the way back. */
export function OwnList({ part, workshop, kinds, more = [] }: OwnListProps) {
  const followed = [...(part.own ?? []), ...more].filter(({ way }) => kinds.includes(way.decides.kind));
  const homeless = (part.homeless ?? []).filter(({ way }) => kinds.includes(way.decides.kind));
  const deciding = useDeciding();
  const skipped = (deciding?.skipped ?? []).filter(({ habit }) => kinds.includes(habit.decides.kind));
  if (followed.length + homeless.length + skipped.length === 0) return null;
  return (
    <ul className="own" aria-label="Done your way">
      {followed.map((own) => (
        <Own key={own.way.id} own={own} part={part} workshop={workshop} instead={own.instead} />
      ))}
      {homeless.map((own) => (
        <Own key={own.way.id} own={own} part={part} workshop={workshop} instead={null} />
      ))}
      {skipped.map(({ habit, by }) => {
        const words = decisionWords(habit.decides, namesOf(part, workshop, null));
        return (
          <li key={by.way.id}>
            <b>Not this time:</b> <Say text={words} />{' '}
            <Button
              size="small"
              aria-label={`Do it after all: ${words}`}
              onClick={() => deciding?.takeBack(by)}
            >
              Do it after all
            </Button>
          </li>
        );
      })}
    </ul>
  );
}

interface OwnProps {
  own: ScopedWay;
  part: PartPlan;
  workshop: Workshop;
  /** what would be done without it; null where it is about nothing any more */
  instead: string | null;
}

function Own({ own, part, workshop, instead }: OwnProps) {
  const { way, scope } = own;
  const words = decisionWords(way.decides, namesOf(part, workshop, instead));
  return (
    <li data-homeless={instead === null}>
      <b>
        <Say text={words.charAt(0).toUpperCase() + words.slice(1)} />
      </b>{' '}
      {instead === null ? (
        <b>▲ what it is about is not there any more</b>
      ) : (
        hasUsual(way.decides) && (
          <span className="soft">
            (usually <Say text={instead} />)
          </span>
        )
      )}
      <span className="soft">
        {' · '}
        {scopeWords(scope, part.material.name)}
        {way.by !== '' && ` · ${way.by}, ${dayWords(way.at.slice(0, 10))}`}
        {way.why !== '' && ` · “${way.why}”`}
      </span>
      <Back own={own} words={words} />
    </li>
  );
}

function Back({ own, words }: { own: ScopedWay; words: string }) {
  const deciding = useDeciding();
  if (!deciding) return null;
  const { way, scope } = own;
  if (!deciding.scopes.includes(scope) && !isWide(scope)) return null;
  return (
    <span className="own-back">
      {isWide(scope) && (
        <Button
          size="small"
          aria-label={`Not this time: ${words}`}
          onClick={() =>
            deciding.decide({ decides: { kind: 'usual', wayId: way.id }, scope: 'order', why: '' })
          }
        >
          Not this time
        </Button>
      )}
      {deciding.scopes.includes(scope) && (
        <Button size="small" aria-label={`As usual: ${words}`} onClick={() => deciding.takeBack(own)}>
          {isWide(scope) ? 'Never again' : 'As usual'}
        </Button>
      )}
    </span>
  );
}
