import { describe } from '../describe.js';
import type { Material } from '../material.js';

/** Resin, horn, antler and wood that was made up: none of them moves with the weather as wood does. */
export const OTHER: Material[] = [
  describe('acrylic', 'Acrylic', 'resin', 1.19, 3_000, 'clear', {
    family: 'resin',
    shrink: [0, 0],
    grain: 'none',
    dust: 'irritant',
    tool: 'scraper at a low angle, or skew with light cuts',
    uses: 'stoppers, handles',
  }),
  describe('polyester', 'Polyester resin', 'resin', 1.2, 3_000, 'clear', {
    family: 'resin',
    shrink: [0, 0],
    grain: 'none, brittle',
    dust: 'irritant',
    tool: 'scraper at a low angle; it chips under a heavy cut',
    uses: 'stoppers, ornaments',
  }),
  describe('horn', 'Horn', 'dense hardwood', 1.3, null, 'umber', {
    family: 'horn',
    grain: 'layered, bends with heat',
    dust: 'sensitiser',
    tool: 'scraper, light cuts',
    startGrit: 180,
    drilling: 'Slowly, with a drop of oil; it smells before it burns.',
    uses: 'knife handles, ferrules, ornaments',
  }),
  describe('antler', 'Antler', 'dense hardwood', 1.7, null, 'pale', {
    family: 'antler',
    grain: 'hard outside, spongy core',
    dust: 'sensitiser',
    tool: 'scraper or shear-scraping gouge',
    startGrit: 180,
    drilling: 'Slowly, with a drop of oil; fill a spongy core with thin glue first.',
    uses: 'knife handles, stoppers',
  }),
  describe('laminated', 'Laminated veneer blank', 'dense hardwood', 0.9, null, 'amber', {
    family: 'laminated wood',
    grain: 'layers glued with resin',
    dust: 'irritant',
    skin: 'irritant',
    drilling: 'Short pecks; it splits along a glue line near an end.',
    uses: 'handles, stoppers',
  }),
  describe('stabilised', 'Stabilised wood', 'dense hardwood', 1.05, null, 'honey', {
    family: 'stabilised wood',
    grain: 'wood filled with resin',
    dust: 'irritant',
    skin: 'irritant',
    startGrit: 180,
    drilling: 'Slow, with pauses: the resin in it softens.',
    uses: 'knife handles, stoppers',
  }),
];
