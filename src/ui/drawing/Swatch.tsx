import type { Item } from '../../core/records/index.ts';
import { usePhotoUrl } from '../state/photos.ts';
import { getColour } from '../../core/colour/index.ts';
import { printFill } from './prints.ts';

/** A piece of the thing's own photo, or of its colour and print where there is none. */
export function Swatch({ item, className = '' }: { item: Item; className?: string }) {
  const print = printFill(item);
  const url = usePhotoUrl(item.photos?.[0]);
  return (
    <svg aria-hidden className={`block ${className}`}>
      <rect width="100%" height="100%" fill={getColour(item)} />
      {url ? (
        <image href={url} width="100%" height="100%" preserveAspectRatio="xMidYMid slice" />
      ) : (
        print && <rect width="100%" height="100%" fill={print} />
      )}
    </svg>
  );
}
