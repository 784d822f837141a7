import type { CutInput, SawSetting } from '@compas/core';
import { Length, Say } from '../ui/Length.js';

interface SawListProps {
  list: SawSetting[];
  letters: ReadonlyMap<string, string>;
  input: CutInput;
}

/** The plan as work at the saw, each setting once, in the order it is done. */
export function SawList({ list, letters, input }: SawListProps) {
  const letterOf = (label: string) =>
    letters.get(input.demand.find((d) => d.label === label)?.id ?? '') ?? '';
  return (
    <section aria-label="Saw list">
      <h2>Saw list</h2>
      <ol className="saw-list">
        {list.map((setting, i) => (
          <li key={setting.id}>
            <span className="saw-set">{setting.set === null ? '' : <Length mm={setting.set} />}</span>
            <span>
              <b>
                <Say text={setting.title} />
              </b>
              {setting.work !== list[i - 1]?.work && (
                <>
                  <br />
                  <span className="soft">
                    <Say text={setting.words} />
                  </span>
                </>
              )}
            </span>
            <span className="saw-from">
              {setting.from.map((f, k) => (
                <span key={k}>
                  {letterOf(f.label) && <b className="cut-letter">{letterOf(f.label)}</b>} {f.pieces} ×{' '}
                  {f.label}
                  {f.note && (
                    <>
                      , <Say text={f.note} />
                    </>
                  )}
                </span>
              ))}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
