import {
  boreOf,
  dim,
  withDimension,
  type Figure,
  type Finding,
  type MatingOutline,
  type Outline,
  type PartPlan,
} from '@compas/core';
import { useCallback, useState } from 'react';
import { DecidesLayer } from '../strip/DecidesLayer.js';
import { HandleLayer, type HandleMove } from '../strip/HandleLayer.js';
import { HardwareLayer } from '../strip/fittingLayers.js';
import { HollowLayer } from '../strip/HollowLayer.js';
import { AxesLayer, DecorationLayer } from '../strip/partLayers.js';
import { useFrame } from '../strip/frame.js';
import { RingLayer } from '../strip/RingLayer.js';
import { Strip } from '../strip/Strip.js';
import { lookOf, PLAIN } from '../strip/wood/woodLook.js';
import { changeTurning } from './editing.js';
import { useMaterials } from '../ui/useMaterials.js';
import { useEditor } from './editor.js';

/** The strip of the editor: drawn from the pattern at once, its sizes taken hold of in place. */
interface EditorStripProps {
  planned: PartPlan | null;
  findings: Finding[];
  /** that have a place on the work */
  figures: readonly Figure[];
  onFigure: (figureId: string) => void;
}

export function EditorStrip({ planned, findings, figures, onFigure }: EditorStripProps) {
  const materials = useMaterials();
  const { body, outline, spot, part, turning, change, selected, select } = useEditor();
  const [held, setHeld] = useState(false);
  const own = planned?.partId === part.id ? planned : null;
  const main = turning.id === part.turnings[0].id;
  const material = materials.find((m) => m.id === part.materialId);
  const look = material ? lookOf(material, part.id) : PLAIN;
  const direction = own?.mount.headstockEnd === 'far' ? -1 : 1;
  const move = useCallback(
    (to: HandleMove, tag: string) =>
      change(
        changeTurning(body, spot, (t) => moved(t, to)),
        tag,
      ),
    [body, spot, change],
  );
  return (
    <Strip
      outline={outline}
      holes={main ? (own?.holes ?? part.holes) : []}
      bores={main ? (part.crossHoles ?? []).map((hole) => boreOf(hole, outline)) : []}
      look={look}
      headstockEnd={own?.mount.headstockEnd ?? 'reference'}
      held={held}
      edited
      selected={selected}
      onSelect={select}
      handles={
        <>
          {main && own && <DecidesLayer outline={outline} figures={figures} onOpen={onFigure} />}
          <HandleLayer outline={outline} direction={direction} onMove={move} onHold={setHeld} />
        </>
      }
    >
      {main && (
        <>
          <DecorationLayer outline={outline} part={part} />
          <AxesLayer turnings={part.turnings} />
          <RingLayer part={part} outline={outline} />
          <HollowLayer hollows={part.hollows ?? []} outline={outline} />
          {own?.hardware && <HardwareLayer hardware={own.hardware} />}
          <MateLayer outline={outline} mates={(body.mates ?? []).filter((m) => m.partId === part.id)} />
          <PlaceLayer findings={findings.filter((f) => f.partId === part.id)} />
        </>
      )}
    </Strip>
  );
}

function moved(turning: ReturnType<typeof useEditor>['turning'], to: HandleMove) {
  if (to.across === 'startDiameter')
    return turning.startHeld ? turning : { ...turning, startDiameter: dim(to.diameter) };
  const { across, along } = to;
  return {
    ...turning,
    elements: turning.elements.map((element) => {
      if (element.id !== to.elementId) return element;
      const wide = across === null ? element : withDimension(element, across, dim(to.diameter));
      return along === null ? wide : withDimension(wide, along, dim(to.length));
    }),
  };
}

/** Things the part meets, drawn on from its ends. */
function MateLayer({ outline, mates }: { outline: Outline; mates: readonly MatingOutline[] }) {
  const frame = useFrame();
  return mates.map((mate) => {
    const place = (at: number) => (mate.end === 'reference' ? -at : outline.length + at);
    const edge = (side: 1 | -1) =>
      mate.points
        .map((p) => `${frame.at(place(p.at.mm))},${frame.up((side * p.diameter.mm) / 2)}`)
        .join(' L');
    return (
      <g key={mate.id} className="strip-second">
        <path d={`M${edge(1)}`} />
        <path d={`M${edge(-1)}`} />
      </g>
    );
  });
}

/** Small signs over the places that findings are about. */
function PlaceLayer({ findings }: { findings: readonly Finding[] }) {
  const frame = useFrame();
  return findings.map(
    (f) =>
      f.x !== undefined &&
      f.severity !== 'note' && (
        <text key={f.id} x={frame.at(f.x)} y={18} textAnchor="middle" className={`place-sign ${f.severity}`}>
          {f.severity === 'stop' ? '■' : '▲'}
        </text>
      ),
  );
}
