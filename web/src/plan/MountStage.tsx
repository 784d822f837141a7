import type { Mount, MountKind, PartPlan } from '@compas/core';
import { Length } from '../ui/Length.js';

/** The sensible ways to hold the work; one is chosen. */
export function MountStage({ part, onMount }: { part: PartPlan; onMount?: (kind: MountKind) => void }) {
  return (
    <div className="column">
      <h2>Held {part.mount.label.toLowerCase()}</h2>
      <div className="ways" role={onMount ? 'radiogroup' : undefined} aria-label="Ways to hold the work">
        {part.mounts.map((mount) => (
          <Way
            key={mount.kind}
            mount={mount}
            chosen={mount.kind === part.mount.kind}
            onChoose={onMount && (() => onMount(mount.kind))}
          />
        ))}
      </div>
      {part.mount.tenon && (
        <p>
          Tenon on the waste: <Length mm={part.mount.tenon.diameter} /> across,{' '}
          <Length mm={part.mount.tenon.length} /> long, its shoulder square and hard against the jaws.
        </p>
      )}
    </div>
  );
}

function Way({ mount, chosen, onChoose }: { mount: Mount; chosen: boolean; onChoose?: () => void }) {
  const inner = (
    <>
      <b>{mount.label}</b>
      <br />
      {mount.why}
      <br />
      <span className="soft">
        Headstock: {mount.headstock}. Tailstock: {mount.tailstock ?? 'not used'}.
      </span>
      {mount.missing.length > 0 && (
        <>
          <br />
          <span style={{ color: '#a3211b' }}>■ Missing: {mount.missing.join(', ')}.</span>
        </>
      )}
    </>
  );
  if (!onChoose)
    return (
      <div className="way" data-chosen={chosen}>
        {inner}
      </div>
    );
  return (
    <button type="button" role="radio" aria-checked={chosen} className="way" onClick={onChoose}>
      {inner}
    </button>
  );
}
