import { useMemo, useState } from 'react';
import type { ContainerSpec, SlotSpec } from '../../../core/records/index.ts';
import { getBoxSize, getSlotSize, nestBoxes, proposeSizes, USUAL_BIN } from '../../../core/storage/index.ts';
import { formatSize, formatSizes, parseLengthMm } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { CheckField, TextField } from '../../components/fields.tsx';
import { useHousehold } from '../../state/app.ts';
import { wordNesting } from '../../text/room.ts';
import { t } from '../../language/index.ts';

interface WhichBinsProps {
  readonly slot: SlotSpec;
  /** Puts so many bins of that kind in, in place of those that stand there. */
  readonly onTake: (bins: readonly ContainerSpec[]) => void;
}

/** Nobody puts more bins than these into one compartment. */
const MOST_AT_ONCE = 40;

/** One of each kind of bin that there is in the household, by its measures; with the name of one of them. */
interface OwnBin {
  readonly key: string;
  readonly name: string;
  readonly box: ContainerSpec;
  readonly owned: number;
}

function useOwnBins(): readonly OwnBin[] {
  const household = useHousehold();
  return useMemo(() => {
    const kinds = new Map<string, OwnBin>();
    for (const place of household.places.values()) {
      const box = place.container;
      if (!box) continue;
      const key = `${box.outerWidthMm} ${box.outerDepthMm} ${box.outerHeightMm} ${box.hasLid}`;
      const known = kinds.get(key);
      kinds.set(key, { key, name: known?.name ?? place.name, box: known?.box ?? box, owned: (known?.owned ?? 0) + 1 });
    }
    return [...kinds.values()];
  }, [household]);
}

/** Which bins a compartment takes: one's own kinds, a size one thinks of buying, and the largest sizes there could be. */
export function WhichBins({ slot, onTake }: WhichBinsProps) {
  const { units } = useHousehold().settings;
  const own = useOwnBins();
  const [typed, setTyped] = useState({ width: '', depth: '', height: '', hasLid: false });
  const read = (text: string) => {
    const parsed = parseLengthMm(text, units === 'metric' ? 'cm' : 'in');
    return parsed.ok && parsed.value >= 5 ? parsed.value : null;
  };
  const sides = [read(typed.width), read(typed.depth), read(typed.height)] as const;
  const [widthMm, depthMm, heightMm] = sides;
  const wanted =
    widthMm !== null && depthMm !== null && heightMm !== null
      ? { ...USUAL_BIN, outerWidthMm: widthMm, outerDepthMm: depthMm, outerHeightMm: heightMm, hasLid: typed.hasLid }
      : null;
  const isHalfTyped = wanted === null && (typed.width + typed.depth + typed.height).trim() !== '';
  return (
    <details className="border-l-4 border-thread pl-3">
      <summary className="min-h-9 cursor-pointer py-1 font-semibold text-woad">{t('Which bins fit?')}</summary>
      <ul aria-label={t('Your own kinds of bins')}>
        {own.map(({ key, name, box, owned }) => (
          <Kind key={key} name={t('As {name}', { name })} owned={owned} slot={slot} box={box} onTake={onTake} />
        ))}
        {own.length === 0 && <li className="text-sm text-stone">{t('You have no bins yet.')}</li>}
      </ul>
      <h4 className="mt-2 font-semibold">{t('One to be bought')}</h4>
      <div className="grid grid-cols-3 items-start gap-2">
        {(['width', 'depth', 'height'] as const).map((side, i) => (
          <TextField
            key={side}
            label={{ width: t('Bin width'), depth: t('Bin depth'), height: t('Bin height') }[side]}
            value={typed[side]}
            fault={typed[side].trim() !== '' && sides[i] === null ? t('Such as 31 cm.') : undefined}
            onChange={(event) => setTyped({ ...typed, [side]: event.target.value })}
          />
        ))}
      </div>
      <CheckField
        label={t('With a lid others can stand on')}
        checked={typed.hasLid}
        onChange={(event) => setTyped({ ...typed, hasLid: event.target.checked })}
      />
      {wanted && (
        <ul aria-label={t('The bin to be bought')}>
          <Kind name={t('This size')} owned={0} slot={slot} box={wanted} onTake={onTake} />
        </ul>
      )}
      {isHalfTyped && <p className="text-sm text-stone">{t('Outer measures, all three.')}</p>}
      <h4 className="mt-2 font-semibold">{t('The largest there could be')}</h4>
      <ul aria-label={t('Largest sizes')} className="text-sm">
        {proposeSizes(getSlotSize(slot)).map(({ across, deep, high, count, size }) => (
          <li key={`${across} ${deep} ${high}`} className="dotted-row py-1">
            <span className="font-semibold">{t('{n, plural, one {# bin} other {# bins}}', { n: count })}</span>{' '}
            {t('up to {sizes}{beside}{behind}{above}', {
              sizes: formatSizes([size.widthMm, size.depthMm, size.heightMm], units),
              beside: across > 1 ? t(', {across} side by side', { across }) : '',
              behind: deep > 1 ? t(', {deep} deep', { deep }) : '',
              above: high > 1 ? t(', {high} high with lids', { high }) : '',
            })}
          </li>
        ))}
      </ul>
      <p className="text-sm text-stone">
        {t('Width × depth × height outside, {size} of play for each.', { size: formatSize(5, units) })}
      </p>
    </details>
  );
}

interface KindProps {
  readonly name: string;
  readonly owned: number;
  readonly slot: SlotSpec;
  readonly box: ContainerSpec;
  readonly onTake: (bins: readonly ContainerSpec[]) => void;
}

/** How often one kind of bin goes in, how it stands, what is left over. */
function Kind({ name, owned, slot, box, onTake }: KindProps) {
  const { units } = useHousehold().settings;
  const room = getSlotSize(slot);
  const nesting = useMemo(
    () => nestBoxes(getSlotSize(slot), getBoxSize(box), { canTurn: true, canStack: box.hasLid }),
    [slot, box],
  );
  return (
    <li className="dotted-row py-1 text-sm">
      <span className="font-semibold">{name}</span>{' '}
      <span className="text-stone">
        {formatSizes([box.outerWidthMm, box.outerDepthMm, box.outerHeightMm], units)}
        {owned > 0 ? t(', you have {owned}', { owned }) : ''}
      </span>
      <span className="block">{wordNesting(nesting, getBoxSize(box), room, units)}</span>
      {nesting.count > 0 && nesting.count <= MOST_AT_ONCE && (
        <Button look="quiet" onClick={() => onTake(nesting.nooks.map((at) => ({ ...box, at })))}>
          {nesting.count === 1 ? t('Put one in') : t('Put {count} in', { count: nesting.count })}
        </Button>
      )}
    </li>
  );
}
