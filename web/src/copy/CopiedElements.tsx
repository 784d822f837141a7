import { canBeLeftOut, kindOf, notchesOf, sizedPlaces } from '@compas/core';
import { Button, Checkbox, Input } from 'antd';
import type { ReactNode } from 'react';
import { Length } from '../ui/Length.js';
import type { CopyWishes } from './copied.js';
import type { Copy } from './useCopy.js';

interface CopiedElementsProps {
  copy: Copy;
  wishes: CopyWishes;
  onWishes: (wishes: CopyWishes) => void;
}

/** The elements of a copy: what they are called, which are one curve, and which places are gauged and marked at the lathe. */
export function CopiedElements({ copy, wishes, onWishes }: CopiedElementsProps) {
  if (!copy.turning || !copy.outline) return null;
  const { spans } = copy.outline;
  const sized = sizedPlaces(copy.outline);
  const notches = notchesOf(copy.outline).filter(canBeLeftOut);
  return (
    <div className="sheet column gap-hair">
      <div className="row spread">
        <h2>
          elements <b>{copy.turning.elements.length}</b>
        </h2>
        {copy.changed && (
          <Button size="small" onClick={copy.undo}>
            Undo the last curve
          </Button>
        )}
      </div>
      <div className="scroll">
        <table className="copied">
          <thead>
            <tr>
              <th>What you call it</th>
              <th>Length</th>
              <th>Ends at ⌀</th>
              <th>Gauged at the lathe, ⌀</th>
              <th>Marked, at</th>
              <th>One curve</th>
            </tr>
          </thead>
          <tbody>
            {spans.map(({ element, x0, x1, endDiameter }, i) => (
              <tr key={element.id}>
                <td>
                  <Input
                    size="small"
                    aria-label={`Name of element ${i + 1}`}
                    placeholder={kindOf(element).words}
                    maxLength={60}
                    value={wishes.names[element.id] ?? ''}
                    onChange={(e) =>
                      onWishes({ ...wishes, names: { ...wishes.names, [element.id]: e.target.value } })
                    }
                  />
                </td>
                <td>
                  {wishes.names[element.id] ? <span className="soft">{kindOf(element).words} </span> : null}
                  {x1 > x0 ? <Length mm={x1 - x0} /> : <span className="soft">step</span>}
                </td>
                <td>
                  <Length mm={endDiameter} />
                </td>
                <td>
                  <Places
                    places={sized.filter((p) => isOf(p.id, element.id) || (i === 0 && p.id === 'start'))}
                    out={wishes.ungauged}
                    onOut={(ungauged) => onWishes({ ...wishes, ungauged })}
                    words={({ finished, x }) => (
                      <>
                        <Length mm={finished} /> <span className="soft">at</span> <Length mm={x} />
                      </>
                    )}
                  />
                </td>
                <td>
                  <Places
                    places={notches.filter(({ id }) => isOf(id, element.id))}
                    out={wishes.unmarked}
                    onOut={(unmarked) => onWishes({ ...wishes, unmarked })}
                    words={({ x }) => (
                      <>
                        <span className="soft">at</span> <Length mm={x} />
                      </>
                    )}
                  />
                </td>
                <td>
                  {copy.canJoinBefore(i) && (
                    <Button
                      size="small"
                      type="text"
                      aria-label={`One curve with the element before ${i + 1}`}
                      onClick={() => copy.joinBefore(i)}
                    >
                      with above
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

const isOf = (placeId: string, elementId: string): boolean => placeId.startsWith(`${elementId}.`);

interface PlacesProps<P> {
  places: readonly P[];
  /** ids of those that are left out */
  out: ReadonlySet<string>;
  onOut: (out: ReadonlySet<string>) => void;
  words: (place: P) => ReactNode;
}

/** Places of an element, each with its tick; what has none is left to the eye. */
function Places<P extends { id: string }>({ places, out, onOut, words }: PlacesProps<P>) {
  const change = (id: string, wanted: boolean) => {
    const next = new Set(out);
    if (wanted) next.delete(id);
    else next.add(id);
    onOut(next);
  };
  return places.map((place) => (
    <Checkbox
      key={place.id}
      checked={!out.has(place.id)}
      onChange={(e) => change(place.id, e.target.checked)}
    >
      {words(place)}
    </Checkbox>
  ));
}
