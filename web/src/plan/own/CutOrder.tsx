import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { cutsInOrder, nameOf, ordersFrom, type Cut, type Finding, type PartPlan } from '@compas/core';
import { useEffect, useState } from 'react';
import { Say } from '../../ui/Length.js';
import { useDeciding } from './deciding.js';

/** The order of cuts, to be dragged: what it breaks stands at the cut as soon as it is dropped. */
export function CutOrder({ part, findings }: { part: PartPlan; findings: readonly Finding[] }) {
  const deciding = useDeciding();
  const planned = part.cuts.map((c) => c.elementId);
  // the dropped order stands at once; the plan follows
  const [dropped, setDropped] = useState<string[] | null>(null);
  const key = planned.join();
  useEffect(() => setDropped(null), [key]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const shown = dropped ?? planned;
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!deciding || !over || active.id === over.id) return;
    const wanted = arrayMove(shown, shown.indexOf(String(active.id)), shown.indexOf(String(over.id)));
    setDropped(wanted);
    deciding.reorder(ordersFrom(widerOrder(part), wanted));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={shown} strategy={verticalListSortingStrategy}>
        <ol className="cut-order" aria-label="Order of cuts">
          {shown.map((id) => (
            <CutLine
              key={id}
              cut={part.cuts.find((c) => c.elementId === id)}
              name={nameIn(part, id)}
              findings={findings.filter((f) => f.elementId === id && f.stage === 'turn')}
              movable={deciding !== null}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function nameIn({ outline }: PartPlan, id: string): string {
  const element = outline.spans.find((s) => s.element.id === id)?.element;
  return element ? nameOf(element) : id;
}

/** The order as it is without what this order of pieces decides: the end far from the drive first, then wider ways. */
function widerOrder({ cuts, mount, own = [] }: PartPlan): string[] {
  const usual = [...cuts].sort((a, b) => (mount.headstockEnd === 'reference' ? b.x0 - a.x0 : a.x0 - b.x0));
  const wider = own.flatMap(({ way, scope }) =>
    way.decides.kind === 'before' && scope !== 'order' ? [{ id: way.id, ...way.decides }] : [],
  );
  return cutsInOrder(usual, wider.toReversed()).map((c) => c.elementId);
}

interface CutLineProps {
  cut: Cut | undefined;
  name: string;
  findings: readonly Finding[];
  movable: boolean;
}

function CutLine({ cut, name, findings, movable }: CutLineProps) {
  const id = cut?.elementId ?? name;
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id,
    disabled: !movable,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      data-dragging={isDragging}
    >
      {movable && (
        <button type="button" className="grab" aria-label={`Move the ${name}`} {...attributes} {...listeners}>
          <span aria-hidden>↕</span>
        </button>
      )}
      <span>
        <b>{name}</b> <span className="soft">{cut?.tool?.name ?? `no ${cut?.toolKind ?? 'tool'}`}</span>
        {findings.map((f) => (
          <span key={f.id} className="cut-against" role="note">
            {' '}
            {f.severity === 'stop' ? '■' : '▲'} <Say text={f.what} />
          </span>
        ))}
      </span>
    </li>
  );
}
