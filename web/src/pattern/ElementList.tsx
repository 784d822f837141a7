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
  return (
    <table className="elements">
      <thead>
        <tr>
          <th>{hollowAt(part, turning.id) ? 'From the rim inwards' : 'From the reference end'}</th>
          <th>Dimensions</th>
          <th aria-label="Changes" />
        </tr>
      </thead>
      <tbody>
        <tr>
          <td className="soft">begins with</td>
          <td>
            <span className="dimensions">
              <span>
                <span className="soft">diameter</span>
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
                  <HoldButton
                    name="Start diameter"
                    held={turning.startHeld === true}
                    onChange={(startHeld) =>
                      change(changeTurning(body, spot, (t) => ({ ...t, startHeld: startHeld || undefined })))
                    }
                  />
                </span>
              </span>
            </span>
          </td>
          <td>
            <AddButton afterId={null} />
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
