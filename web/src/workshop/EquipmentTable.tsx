import { Button } from 'antd';
import { randomId } from '../api/randomId.js';
import type { EquipmentKind } from './columns.js';
import { EquipmentCell } from './EquipmentCell.js';

interface EquipmentTableProps<T> {
  kind: EquipmentKind<T>;
  items: readonly T[];
  onChange: (items: T[]) => void;
}

/** One list of what the workshop owns, every field edited in place. */
export function EquipmentTable<T extends { id: string }>({ kind, items, onChange }: EquipmentTableProps<T>) {
  const change = (item: T) => onChange(items.map((i) => (i.id === item.id ? item : i)));
  return (
    <section className="equipment">
      <div className="row spread">
        <h2>{kind.title}</h2>
        <Button onClick={() => onChange([...items, kind.fresh(randomId().slice(0, 8))])}>
          + add a {kind.one}
        </Button>
      </div>
      {items.length === 0 && <p className="soft">None yet.</p>}
      {items.length > 0 && (
        <div className="scroll">
          <table className="table">
            <thead>
              <tr>
                {kind.columns.map((c) => (
                  <th key={c.key}>{c.label}</th>
                ))}
                <th aria-label="Take away" />
              </tr>
            </thead>
            <tbody>
              {items.map((item, row) => (
                <tr key={item.id}>
                  {kind.columns.map((column) => (
                    <td key={column.key}>
                      {(column.when?.(item) ?? true) && (
                        <EquipmentCell
                          item={item}
                          column={column}
                          label={`${kind.one} ${row + 1}, ${column.label}`}
                          onChange={change}
                        />
                      )}
                    </td>
                  ))}
                  <td>
                    <Button
                      type="text"
                      aria-label={`Take ${kind.one} ${row + 1} away`}
                      onClick={() => onChange(items.filter((i) => i.id !== item.id))}
                    >
                      ✕
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
