import { kindOf, sizedPlaces, type Element } from '@compas/core';
import { Button, Checkbox, Input } from 'antd';
import { Length } from '../ui/Length.js';
import type { CopyWishes } from './copied.js';
import type { Copy } from './useCopy.js';

interface CopiedElementsProps {
  copy: Copy;
  wishes: CopyWishes;
  onWishes: (wishes: CopyWishes) => void;
}

/** The elements of a copy: what they are called, which are one curve, and which are gauged at the lathe. */
export function CopiedElements({ copy, wishes, onWishes }: CopiedElementsProps) {
  if (!copy.turning || !copy.outline) return null;
  const { spans } = copy.outline;
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
      <table className="copied">
        <thead>
          <tr>
            <th>What you call it</th>
            <th>Length</th>
            <th>Ends at ⌀</th>
            <th>Gauged at the lathe, ⌀</th>
            <th aria-label="Curve" />
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
                <Gauged element={element} first={i === 0} copy={copy} wishes={wishes} onWishes={onWishes} />
              </td>
              <td>
                {copy.canJoinBefore(i) && (
                  <Button
                    size="small"
                    type="text"
                    aria-label={`One curve with the element before ${i + 1}`}
                    onClick={() => copy.joinBefore(i)}
                  >
                    one curve with above
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The places of an element that can be gauged; those without their tick are cut by eye. */
function Gauged({
  element,
  first,
  copy,
  wishes,
  onWishes,
}: CopiedElementsProps & { element: Element; first: boolean }) {
  const places = copy.outline ? sizedPlaces(copy.outline) : [];
  const own = places.filter(({ id }) => id.startsWith(`${element.id}.`) || (first && id === 'start'));
  const change = (id: string, gauged: boolean) => {
    const ungauged = new Set(wishes.ungauged);
    if (gauged) ungauged.delete(id);
    else ungauged.add(id);
    onWishes({ ...wishes, ungauged });
  };
  return own.map(({ id, finished, x }) => (
    <Checkbox key={id} checked={!wishes.ungauged.has(id)} onChange={(e) => change(id, e.target.checked)}>
      <Length mm={finished} /> <span className="soft">at</span> <Length mm={x} />
    </Checkbox>
  ));
}
