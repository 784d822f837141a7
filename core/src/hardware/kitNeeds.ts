import { wayOf } from './fittingWay.js';
import type { Kit } from './kit.js';
import { ferruleNeeds, headNeeds, socketNeeds, tangNeeds, taperedShankNeeds } from './needs/handleNeeds.js';
import { boring, type Fitting, type KitNeeds, type KitPlace } from './needs/needs.js';
import {
  ballNeeds,
  cordNeeds,
  ringNeeds,
  rodNeeds,
  screwEyeNeeds,
  threadedInsertNeeds,
} from './needs/smallNeeds.js';
import { glueInStudNeeds, selfTappingNeeds, tappedInsertNeeds } from './needs/stopperNeeds.js';

export type { KitNeeds, KitPlace, MatingFace } from './needs/needs.js';

/** What a kit asks of the part it is fitted to: holes in their order, mating diameter, glue, mandrel. */
export function kitNeeds(kit: Kit, place: KitPlace): KitNeeds {
  const way = wayOf(kit, place.way);
  const at: Fitting = {
    way,
    place,
    glue: way === 'glued' && 'glue' in kit ? { glue: kit.glue } : {},
    bore: boring(kit, place),
  };
  switch (kit.kind) {
    case 'tapped-insert':
      return tappedInsertNeeds(kit, at);
    case 'self-tapping-stud':
      return selfTappingNeeds(kit, at);
    case 'glue-in-stud':
      return glueInStudNeeds(kit, at);
    case 'ferrule':
      return ferruleNeeds(kit, at);
    case 'ring':
      return ringNeeds(kit, at);
    case 'head':
      return headNeeds(kit, at);
    case 'tang':
      return tangNeeds(kit, at);
    case 'tapered-shank':
      return taperedShankNeeds(kit, at);
    case 'socket':
      return socketNeeds(kit, at);
    case 'rod':
      return rodNeeds(kit, at);
    case 'ball':
      return ballNeeds(kit, at);
    case 'screw-eye':
      return screwEyeNeeds(kit, at);
    case 'threaded-insert':
      return threadedInsertNeeds(kit, at);
    case 'cord':
      return cordNeeds(kit, at);
  }
}
