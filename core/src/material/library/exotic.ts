import { describe } from '../describe.js';
import type { Material } from '../material.js';

const OILY = { oily: true } as const;
const SENSITISER = { dust: 'sensitiser', skin: 'sensitiser' } as const;

/** Woods of warm countries: typical values from general knowledge. Ask for papers where trade is limited. */
export const EXOTIC: Material[] = [
  describe('olive', 'Olive', 'dense hardwood', 0.92, 11_500, 'olive', {
    ...OILY,
    shrink: [5.4, 8.8],
    hardness: 12_000,
    grain: 'fine, streaked',
    dust: 'irritant',
    uses: 'stoppers, scoops',
  }),
  describe('rosewood', 'Rosewood', 'dense hardwood', 0.85, 12_000, 'umber', {
    ...OILY,
    ...SENSITISER,
    shrink: [2.7, 5.8],
    hardness: 10_900,
    grain: 'interlocked, open',
    uses: 'knife handles, stoppers; trade is limited',
  }),
  describe('cocobolo', 'Cocobolo', 'dense hardwood', 1.1, 18_700, 'russet', {
    ...OILY,
    ...SENSITISER,
    hardness: 14_100,
    grain: 'fine, interlocked',
    uses: 'knife handles; trade is limited',
  }),
  describe('blackwood', 'African blackwood', 'dense hardwood', 1.27, 18_000, 'umber', {
    ...OILY,
    ...SENSITISER,
    hardness: 16_300,
    grain: 'very fine',
    tool: 'scraper or skew, freshly sharpened',
    uses: 'finials, instrument parts; trade is limited',
  }),
  describe('ebony', 'Ebony', 'dense hardwood', 0.96, 16_900, 'umber', {
    shrink: [8.3, 10.8],
    hardness: 13_700,
    grain: 'very fine, brittle',
    dust: 'sensitiser',
    skin: 'irritant',
    drilling: 'Very slow, short pecks: it checks from heat.',
    uses: 'finials, knobs; trade is limited',
  }),
  describe('lignum-vitae', 'Lignum vitae', 'dense hardwood', 1.26, 14_100, 'olive', {
    ...OILY,
    hardness: 19_500,
    grain: 'interlocked, waxy',
    dust: 'irritant',
    skin: 'irritant',
    uses: 'mallet heads, bearings; trade is limited',
  }),
  describe('padauk', 'Padauk', 'dense hardwood', 0.75, 11_700, 'russet', {
    shrink: [3.3, 5.2],
    hardness: 8_800,
    grain: 'open, interlocked',
    ...SENSITISER,
    uses: 'handles, tops; its dust colours pale woods',
  }),
  describe('purpleheart', 'Purpleheart', 'dense hardwood', 0.9, 20_300, 'umber', {
    shrink: [3.8, 6.4],
    hardness: 11_200,
    grain: 'straight, hard',
    dust: 'irritant',
    uses: 'tops, handles, laminated work',
  }),
  describe('bubinga', 'Bubinga', 'dense hardwood', 0.89, 18_400, 'russet', {
    hardness: 10_700,
    grain: 'interlocked',
    dust: 'irritant',
    skin: 'irritant',
    uses: 'rolling pins, handles; trade is limited',
  }),
  describe('wenge', 'Wenge', 'dense hardwood', 0.87, 17_600, 'umber', {
    shrink: [4.8, 8.1],
    hardness: 7_200,
    grain: 'coarse, splinters',
    ...SENSITISER,
    uses: 'handles; its splinters fester',
  }),
  describe('zebrano', 'Zebrano', 'dense hardwood', 0.8, 16_400, 'amber', {
    hardness: 8_200,
    grain: 'interlocked, coarse',
    dust: 'irritant',
    uses: 'stoppers, handles',
  }),
  describe('teak', 'Teak', 'hardwood', 0.66, 12_300, 'amber', {
    ...OILY,
    shrink: [2.6, 5.3],
    hardness: 4_700,
    grain: 'straight, gritty',
    ...SENSITISER,
    tool: 'gouge; it dulls edges',
    uses: 'wet places, boat fittings',
  }),
  describe('iroko', 'Iroko', 'hardwood', 0.66, 9_400, 'amber', {
    ...OILY,
    hardness: 5_600,
    grain: 'interlocked, gritty',
    ...SENSITISER,
    uses: 'garden ware',
  }),
  describe('mahogany', 'Mahogany', 'hardwood', 0.59, 10_100, 'russet', {
    shrink: [3, 4.1],
    hardness: 4_000,
    grain: 'straight, even',
    dust: 'irritant',
    uses: 'legs, finials; trade is limited',
  }),
  describe('sapele', 'Sapele', 'hardwood', 0.67, 12_000, 'russet', {
    shrink: [4.8, 7.2],
    hardness: 6_300,
    grain: 'interlocked, ribbon',
    dust: 'irritant',
    uses: 'legs, bowls and ornaments',
  }),
  describe('jarrah', 'Jarrah', 'dense hardwood', 0.84, 14_700, 'russet', {
    hardness: 8_300,
    grain: 'interlocked, gum veins',
    dust: 'irritant',
    uses: 'handles, dibbers',
  }),
];
