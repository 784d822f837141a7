import { useState, type DragEvent } from 'react';

/** What is dragged is an element of this list, and nothing else. */
const ELEMENT = 'application/x-element';

/** A row that is taken by its grip and dropped on another. */
export function useRowDrag(id: string, onDrop: (draggedId: string) => void) {
  const [over, setOver] = useState(false);
  const carries = (event: DragEvent) => event.dataTransfer.types.includes(ELEMENT);
  return {
    /** something that can be dropped is held over it */
    over,
    grip: {
      draggable: true,
      onDragStart: (event: DragEvent) => {
        event.dataTransfer.setData(ELEMENT, id);
        event.dataTransfer.effectAllowed = 'move';
      },
    },
    onto: {
      onDragOver: (event: DragEvent) => {
        if (!carries(event)) return;
        event.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event: DragEvent) => {
        if (!carries(event)) return;
        event.preventDefault();
        setOver(false);
        const dragged = event.dataTransfer.getData(ELEMENT);
        if (dragged !== '' && dragged !== id) onDrop(dragged);
      },
    },
  };
}
