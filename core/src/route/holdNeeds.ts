import { sameLine, type Placement } from '../pattern/index.js';
import { rockingNeeds } from './carried.js';
import { there, unheld, unmet, type Need } from './need.js';
import type { Effect } from './effect.js';
import { GRIPS, woodOf, type Grip, type Shop, type Wood } from './shop.js';
import { surfaceBy } from './surfaces.js';

/** Every grip takes hold of a surface that exists, and where it was said to be. */
export function holdNeeds({ held }: Extract<Effect, { do: 'hold' }>, shop: Shop): Need[] {
  if (held === null)
    return shop.held
      ? [{ met: true, by: shop.held.by, need: 'it is held until then' }]
      : [unmet('Nothing is held that could come off.', 'It is off already.', 'Leave this out.')];
  const wood = woodOf(shop, held.wood);
  if (!wood) return there(shop, held.wood, '');
  const grips = [held.drive, ...(held.tail ? [held.tail] : [])].map((grip) => gripNeed(wood, grip));
  return [...freeNeeds(shop, held.wood), ...grips, ...rockingNeeds(shop, held)];
}

/** One thing at a time is held; what is held already is held anew from there. */
function freeNeeds({ held }: Shop, wood: string): Need[] {
  if (!held) return [];
  if (held.wood === wood) return [{ met: true, by: held.by, need: 'it is held so before' }];
  return [unmet(`${held.wood} is still held.`, 'Two woods do not fit on one lathe.', 'Take it off first.')];
}

function gripNeed(wood: Wood, grip: Grip): Need {
  const by = surfaceBy(wood, grip.on);
  if (by !== null) return { met: true, by, need: `for ${grip.words}` };
  return unmet(
    `${grip.words} grips what is not there.`,
    'The surface is made later, or has been cut away.',
    'Make it first: a tenon before the jaws close on it, an insert before it is screwed on.',
  );
}

/** Held on the lathe about this axis, by something that holds alone or from both ends. */
export function heldNeeds(shop: Shop, id: string, axis: Placement): Need[] {
  const { held } = shop;
  if (held?.wood !== id || held.place !== 'lathe')
    return [unheld('Nothing holds it.', 'The wood is not on the lathe.', 'Mount it first.')];
  if (!sameLine(held.axis, axis))
    return [
      unmet(
        'It turns about another axis.',
        'A cut is round about the axis the work turns about.',
        'Hold it by that axis.',
      ),
    ];
  if (held.tail === null && GRIPS[held.drive.by] !== 'holds')
    return [
      unheld(
        'Tail away while between centres: nothing holds it.',
        `${held.drive.words} only drives; without the tailstock the work flies off.`,
        'Leave the tailstock up, part to a nib, stop the lathe and saw the nib.',
      ),
    ];
  return [{ met: true, by: held.by, need: 'it is held so', uses: held.by }];
}
