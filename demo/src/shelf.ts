/** What the demo shop has on its shelf beside the datasheets: how many, which lot, from whom, at what cost. */
export const SHELF: Record<string, { stock: number; lot?: string; supplier: string; cost: number }> = {
  'cell-18650-p15': { stock: 7, lot: 'L-2609', supplier: 'Tarn Cell Works', cost: 9.4 },
  'cell-18650-p': { stock: 12, lot: 'L-2588', supplier: 'Tarn Cell Works', cost: 8.2 },
  'cell-18650-hd': { stock: 4, lot: 'K-114', supplier: 'Tarn Cell Works', cost: 7.1 },
  'cell-21700-hc': { stock: 3, lot: 'L-2617', supplier: 'Tarn Cell Works', cost: 11.8 },
  'cell-18350-p': { stock: 0, supplier: 'Tarn Cell Works', cost: 6.3 },
  'speaker-28-8-2': { stock: 6, lot: 'S28-03', supplier: 'Oxbow Cones', cost: 4.9 },
  'speaker-24-8-2': { stock: 9, lot: 'S24-11', supplier: 'Oxbow Cones', cost: 4.1 },
  'speaker-22-4-2': { stock: 2, supplier: 'Oxbow Cones', cost: 3.7 },
  'board-m': { stock: 3, lot: 'B-77', supplier: 'Lantern Circuit Guild', cost: 68 },
  'board-s': { stock: 5, lot: 'B-79', supplier: 'Lantern Circuit Guild', cost: 52 },
  'board-l': { stock: 1, supplier: 'Lantern Circuit Guild', cost: 94 },
  'conn-10pin-lit': { stock: 4, supplier: 'Lantern Circuit Guild', cost: 21 },
  'oled-069': { stock: 0, supplier: 'Lantern Circuit Guild', cost: 12.5 },
  'wire-20': { stock: 18, supplier: 'Quillet & Daughters', cost: 1.1 },
  'wire-28': { stock: 30, supplier: 'Quillet & Daughters', cost: 0.6 },
  'tube-1-20-920': { stock: 11, supplier: 'Quillet & Daughters', cost: 14 },
}
