import { materialsOf } from '../material/index.js';
import { parsePrice, worthOf, type Board } from '../stock/index.js';
import { FileProblem, readStockCsv } from './index.js';

const context = { units: 'mm' as const, currency: 'EUR', materials: materialsOf() };

describe('stock list', () => {
  it('is read row by row, with each bad row by its number', () => {
    const list = readStockCsv(
      [
        'kind,label,material,thickness,width,length,side,diameter,thin end,pieces,price,moisture,felled',
        'board,Rack board,Ash,52,180,2 m,,,,2,38.50 / m²,11 %,',
        'square,,cherry,,,600,45,,,8,,10,',
        'log,Lane birch,birch,,,1100,,240,220,,,70,2026-02-14',
        'board,,Ash,52,180,2000,,,,,38.50,,',
        'plank,,Ash,52,180,2000,,,,,,,',
        'board,,moonwood,52,180,2000,,,,,,,',
        'board,,Ash,fifty,180,2000,,,,,,,',
        'board,,Ash,52,180,2000,,,,0,,,',
      ].join('\n'),
      context,
    );
    expect(list.rows.map((r) => [r.row, r.item.label, r.pieces])).toEqual([
      [2, 'Rack board', 2],
      [3, 'Cherry square', 8],
      [4, 'Lane birch', 1],
    ]);
    expect(list.rows[0]?.item).toMatchObject({
      length: { mm: 2000, typed: '2 m' },
      moisture: 11,
      price: { minor: 3850, currency: 'EUR', per: 'm²' },
    });
    expect(list.problems.map((p) => p.row)).toEqual([5, 6, 7, 8, 9]);
    expect(list.problems[0]?.why).toContain('has no unit that is known');
    expect(list.problems[2]?.why).toContain('“moonwood” is not in the library');
  });

  it('without the columns it needs is refused whole', () => {
    expect(() => readStockCsv('a,b\n1,2', context)).toThrow(FileProblem);
  });
});

describe('price', () => {
  it('needs its unit', () => {
    expect(parsePrice('38.50', 'EUR')).toMatchObject({ ok: false });
    expect(parsePrice('cheap', 'EUR')).toMatchObject({ ok: false });
    expect(parsePrice('', 'EUR')).toEqual({ ok: true, price: null });
    expect(parsePrice('4,20 per piece', 'EUR')).toEqual({
      ok: true,
      price: { minor: 420, currency: 'EUR', per: 'piece' },
    });
  });

  it('makes the worth of a piece by what it is for', () => {
    const board = (text: string): Board => {
      const read = parsePrice(text, 'EUR');
      if (!read.ok) throw new Error(read.why);
      const size = { thickness: { mm: 50 }, width: { mm: 200 }, length: { mm: 2000 }, zones: [] };
      const base = {
        id: 'b',
        label: '',
        place: '',
        reorderAt: null,
        moisture: null,
        origin: '',
        offcut: false,
      };
      return { ...base, ...size, kind: 'board', materialId: 'ash', price: read.price };
    };
    expect(worthOf(board('30 / m²'), 0.68)).toBe(1200); // 0.4 m²
    expect(worthOf(board('1500 / m³'), 0.68)).toBe(3000); // 0.02 m³
    expect(worthOf(board('2 / kg'), 0.68)).toBe(2720); // 13.6 kg
    expect(worthOf(board('9 / m'), 0.68)).toBe(1800);
    expect(worthOf(board('2 / kg'), null)).toBeNull();
  });
});
