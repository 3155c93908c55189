import type { Item } from '../../core/records/index.ts';
import { printFill } from './Prints.tsx';

/** A piece of the thing's own colour and print. */
export function Swatch({ item, className = '' }: { item: Item; className?: string }) {
  const print = printFill(item.fabric?.print);
  return (
    <svg aria-hidden className={`block ${className}`}>
      <rect width="100%" height="100%" fill={item.colours[0] ?? '#8a8f94'} />
      {print && <rect width="100%" height="100%" fill={print} />}
    </svg>
  );
}
