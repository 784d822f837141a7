import { useEffect, useRef } from 'react';
import { LengthInput } from '../ui/LengthInput.js';
import { AddButton } from './AddButton.js';
import { changeTurning, hollowAt } from './editing.js';
import { useEditor } from './editor.js';
import { ElementRow } from './ElementRow.js';
import { HoldButton } from './HoldButton.js';

/** Every element in order from the reference end, each dimension edited in place. */
export function ElementList() {
  const { body, outline, part, spot, turning, workshop, change, selected } = useEditor();
  const { spans } = outline;
  const list = useRef<HTMLTableElement>(null);
  // what is chosen on the strip or by a finding comes into sight; what is chosen here is
  useEffect(() => {
    const row = list.current?.querySelector('tr[aria-selected="true"]');
    if (row && !row.contains(document.activeElement)) row.scrollIntoView({ block: 'nearest' });
  }, [selected]);
  return (
    <table ref={list} className="elements element-list" aria-label="Elements">
      <tbody>
        <tr>
          <td className="soft" colSpan={2}>
            {hollowAt(part, turning.id) ? 'From the rim inwards' : 'From the reference end'}
          </td>
          <td>
            <span className="dimensions">
              <span>
                <span className="soft">begins ⌀</span>
                <span className="held-input">
                  <LengthInput
                    label="Start diameter"
                    value={turning.startDiameter}
                    disabled={turning.startHeld}
                    fit={{ what: 'the swing of the lathe', minMm: 0, maxMm: workshop.lathe.swing }}
                    onChange={(startDiameter) =>
                      change(changeTurning(body, spot, (t) => ({ ...t, startDiameter })))
                    }
                  />
                  {turning.startHeld && <span className="held-word">held</span>}
                  <HoldButton
                    name="Start diameter"
                    held={turning.startHeld === true}
                    onChange={(startHeld) =>
                      change(changeTurning(body, spot, (t) => ({ ...t, startHeld: startHeld || undefined })))
                    }
                  />
                </span>
              </span>
              <span className="row-tools">
                <AddButton afterId={null} />
              </span>
            </span>
          </td>
        </tr>
        {spans.map((span, i) => (
          <ElementRow
            key={span.element.id}
            element={span.element}
            startDiameter={span.startDiameter}
            endDiameter={span.endDiameter}
            next={spans[i + 1]?.element}
            first={i === 0}
            chosen={span.element.id === selected}
          />
        ))}
      </tbody>
    </table>
  );
}
