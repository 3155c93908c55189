import { STOCKS, type Stock } from '../../../core/formats/label/index.ts';
import { useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import type { Section } from './labelFacts.ts';

/** What each sort is mostly printed on. */
const USUAL: Record<'metric' | 'imperial', Record<Section, string>> = {
  metric: {
    places: 'a4-24',
    bolts: 'cut-ticket',
    spools: 'a4-65',
    kits: 'a4-8',
    hooks: 'a4-65',
    others: 'a4-65',
  },
  imperial: {
    places: 'letter-10',
    bolts: 'letter-10',
    spools: 'letter-80',
    kits: 'letter-10',
    hooks: 'letter-30',
    others: 'letter-30',
  },
};

/** The paper that was chosen for a sort of labels, and the first label on it that is free, from 1. */
export function useStock(section: Section): {
  stock: Stock;
  start: number;
  setStock: (id: string) => void;
  setStart: (start: number) => void;
} {
  const { units } = useHousehold().settings;
  const stocks = useChoices((state) => state.labelStocks);
  const starts = useChoices((state) => state.labelStarts);
  const id = stocks[section] ?? USUAL[units][section];
  const stock = STOCKS.find((one) => one.id === id) ?? STOCKS[0]!;
  const perSheet = stock.columns * stock.rows;
  return {
    stock,
    start: Math.min(perSheet, starts[stock.id] ?? 1),
    setStock: (next) => useChoices.setState({ labelStocks: { ...stocks, [section]: next } }),
    setStart: (next) => useChoices.setState({ labelStarts: { ...starts, [stock.id]: next } }),
  };
}
