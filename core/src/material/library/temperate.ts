import { describe } from '../describe.js';
import type { Material } from '../material.js';

const COARSE = 'ring-porous, coarse';
const FINE = 'fine and even';
const IRRITANT = { dust: 'irritant', skin: 'irritant' } as const;

/** Woods of temperate forests, hedges and orchards: typical values from general knowledge. */
export const TEMPERATE: Material[] = [
  describe('ash', 'Ash', 'hardwood', 0.68, 12_500, 'pale', {
    shrink: [4.9, 7.8],
    hardness: 5900,
    grain: COARSE,
    uses: 'tool handles, legs',
  }),
  describe('beech', 'Beech', 'hardwood', 0.71, 13_500, 'honey', {
    shrink: [5.7, 11.6],
    hardness: 6400,
    grain: FINE,
    uses: 'rolling pins, handles, toys',
  }),
  describe('cherry', 'Cherry', 'hardwood', 0.58, 10_300, 'russet', {
    shrink: [3.7, 7.1],
    hardness: 4200,
    grain: FINE,
    uses: 'stoppers, kitchen ware',
  }),
  describe('maple', 'Hard maple', 'hardwood', 0.7, 12_600, 'pale', {
    shrink: [4.8, 9.9],
    hardness: 6400,
    grain: FINE,
    uses: 'rolling pins, tops, kitchen ware',
  }),
  describe('soft-maple', 'Soft maple', 'hardwood', 0.61, 11_300, 'pale', {
    shrink: [4, 8.2],
    hardness: 4200,
    grain: FINE,
    uses: 'legs, ornaments',
  }),
  describe('sycamore', 'Sycamore', 'hardwood', 0.62, 9_900, 'pale', {
    hardness: 4700,
    grain: FINE,
    uses: 'spoons, dairy and kitchen ware',
  }),
  describe('plane', 'Plane', 'hardwood', 0.56, 9_800, 'honey', {
    shrink: [5, 8.4],
    hardness: 3400,
    grain: 'interlocked, showy rays',
    uses: 'ornaments',
  }),
  describe('oak', 'Oak', 'hardwood', 0.69, 11_500, 'amber', {
    shrink: [4.7, 9.4],
    hardness: 5000,
    grain: COARSE,
    dust: 'irritant',
    uses: 'legs, handles; iron stains it black',
  }),
  describe('red-oak', 'Red oak', 'hardwood', 0.7, 12_500, 'amber', {
    shrink: [4, 8.6],
    hardness: 5400,
    grain: COARSE,
    dust: 'irritant',
    uses: 'legs, spindles',
  }),
  describe('chestnut', 'Sweet chestnut', 'hardwood', 0.59, 8_600, 'honey', {
    hardness: 3000,
    grain: COARSE,
    dust: 'irritant',
    uses: 'garden ware',
  }),
  describe('elm', 'Elm', 'hardwood', 0.6, 7_100, 'amber', {
    hardness: 3600,
    grain: 'interlocked, coarse',
    dust: 'irritant',
    uses: 'handles that must not split',
  }),
  describe('walnut', 'Walnut', 'hardwood', 0.64, 11_500, 'umber', {
    shrink: [5.5, 7.8],
    hardness: 4500,
    grain: 'straight, open',
    dust: 'irritant',
    uses: 'stoppers, handles, finials',
  }),
  describe('birch', 'Birch', 'hardwood', 0.64, 13_900, 'pale', {
    shrink: [5.3, 7.8],
    hardness: 5400,
    grain: FINE,
    uses: 'spoons, handles, toys',
  }),
  describe('hornbeam', 'Hornbeam', 'hardwood', 0.74, 12_100, 'pale', {
    shrink: [6.8, 11.5],
    hardness: 7300,
    grain: 'fine, often twisted',
    uses: 'mallets, chisel handles, pegs',
  }),
  describe('lime', 'Lime', 'hardwood', 0.53, 11_700, 'pale', {
    hardness: 3100,
    grain: FINE,
    startGrit: 180,
    uses: 'painted ware, ornaments',
  }),
  describe('alder', 'Alder', 'hardwood', 0.5, 9_500, 'honey', {
    shrink: [4.4, 7.3],
    hardness: 2700,
    grain: FINE,
    uses: 'handles, toys',
  }),
  describe('poplar', 'Poplar', 'hardwood', 0.46, 10_900, 'pale', {
    shrink: [4.6, 8.2],
    hardness: 2400,
    grain: 'woolly',
    startGrit: 120,
    uses: 'painted work, trial pieces',
  }),
  describe('willow', 'Willow', 'hardwood', 0.4, 8_000, 'pale', {
    hardness: 1900,
    grain: 'woolly',
    startGrit: 120,
    uses: 'light ornaments',
  }),
  describe('apple', 'Apple', 'hardwood', 0.8, 8_800, 'russet', {
    shrink: [5.6, 10.1],
    hardness: 7700,
    grain: 'fine, often twisted',
    uses: 'tool handles, tops, finials',
  }),
  describe('pear', 'Pear', 'hardwood', 0.69, 7_800, 'russet', {
    shrink: [3.9, 11.3],
    hardness: 7400,
    grain: FINE,
    uses: 'fine turning, ornaments',
  }),
  describe('plum', 'Plum', 'hardwood', 0.79, 10_200, 'russet', {
    hardness: 6900,
    grain: 'fine, checks easily',
    uses: 'stoppers, ornaments',
  }),
  describe('hawthorn', 'Hawthorn', 'dense hardwood', 0.8, null, 'honey', {
    grain: FINE,
    uses: 'small handles, pegs',
  }),
  describe('hazel', 'Hazel', 'hardwood', 0.63, null, 'honey', {
    grain: FINE,
    uses: 'green turning, pegs',
  }),
  describe('holly', 'Holly', 'hardwood', 0.64, 7_700, 'pale', {
    shrink: [4.8, 9.9],
    hardness: 4500,
    grain: FINE,
    uses: 'white finials, inlay',
  }),
  describe('laburnum', 'Laburnum', 'dense hardwood', 0.85, null, 'umber', {
    ...IRRITANT,
    grain: 'ring-porous, hard',
    uses: 'ornaments; its dust is poisonous, keep it from food and children',
  }),
  describe('mulberry', 'Mulberry', 'hardwood', 0.69, 9_300, 'amber', {
    hardness: 7500,
    grain: COARSE,
    uses: 'ornaments',
  }),
  describe('robinia', 'Robinia', 'dense hardwood', 0.77, 14_100, 'olive', {
    shrink: [4.6, 7.2],
    hardness: 7600,
    grain: COARSE,
    ...IRRITANT,
    uses: 'garden ware, dibbers, handles',
  }),
  describe('hickory', 'Hickory', 'dense hardwood', 0.81, 14_900, 'honey', {
    shrink: [7, 10.5],
    hardness: 8100,
    grain: COARSE,
    uses: 'striking tool handles',
  }),
  describe('boxwood', 'Boxwood', 'dense hardwood', 0.95, 12_000, 'pale', {
    hardness: 12_600,
    grain: 'very fine',
    dust: 'irritant',
    uses: 'chisel handles, finials, gauges',
  }),
  describe('yew', 'Yew', 'hardwood', 0.67, 10_200, 'russet', {
    hardness: 6800,
    grain: 'fine, knotty',
    dust: 'sensitiser',
    skin: 'irritant',
    uses: 'ornaments; poisonous, keep it from food and children',
  }),
  describe('pine', 'Pine', 'softwood', 0.5, 9_000, 'honey', {
    shrink: [5.2, 8.3],
    hardness: 2400,
    grain: 'soft and hard rings',
    uses: 'legs, trial pieces',
  }),
  describe('spruce', 'Spruce', 'softwood', 0.41, 9_700, 'pale', {
    hardness: 1700,
    grain: 'soft and hard rings',
    uses: 'trial pieces, painted work',
  }),
  describe('larch', 'Larch', 'softwood', 0.58, 11_800, 'amber', {
    hardness: 3300,
    grain: 'soft and hard rings',
    dust: 'irritant',
    uses: 'garden ware',
  }),
  describe('douglas-fir', 'Douglas fir', 'softwood', 0.51, 12_200, 'amber', {
    shrink: [4.5, 7.3],
    hardness: 2800,
    grain: 'soft and hard rings, splinters',
    dust: 'irritant',
    uses: 'legs, posts',
  }),
  describe('red-cedar', 'Red cedar', 'softwood', 0.37, 7_700, 'russet', {
    shrink: [2.4, 5],
    hardness: 1600,
    grain: 'soft, splits',
    dust: 'sensitiser',
    skin: 'sensitiser',
    uses: 'scented ornaments',
  }),
];
