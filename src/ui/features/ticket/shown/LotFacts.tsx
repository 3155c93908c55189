import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import {
  computeStock,
  getAmount,
  getAmountUnit,
  getReserved,
  listAccessories,
  listWrapped,
} from '../../../../core/measure/index.ts';
import { findProjectOfBag } from '../../../../core/promises/index.ts';
import { NEEDLE_HOURS, type Household, type Item, type Lot, type LotId } from '../../../../core/records/index.ts';
import { formatSize, formatSizes, toDay, type UnitSystem } from '../../../../core/units/index.ts';
import { Row } from '../../../components/fields.tsx';
import { useOpen, world } from '../../../state/app.ts';
import { getLotsByItem } from '../../../state/derived.ts';
import { formatAmount, wordAmount, wordHolder } from '../../../text/index.ts';
import { formatFixed, t, wordTerm } from '../../../language/index.ts';
import { wordDay } from '../../../text/days.ts';

const GivesRow = lazy(async () => ({ default: (await import('./GivesRow.tsx')).GivesRow }));
const YearRows = lazy(async () => ({ default: (await import('./YearRows.tsx')).YearRows }));
const UsedRow = lazy(async () => ({ default: (await import('./UsedRow.tsx')).UsedRow }));

/** Rows of a ticket that are there only where there is something to say. */
export function LotFacts({ household, item, lot }: { household: Household; item: Item; lot: Lot }) {
  const { units } = household.settings;
  const unit = getAmountUnit(item, lot);
  const typed = t('As its form says.');
  const lots = (getLotsByItem(household).get(item.id) ?? []).flatMap((id) => household.lots.get(id) ?? []);
  const reserved = getReserved(lot);
  const stock = computeStock(item, lots);
  const isLow = item.restockBelow !== undefined && stock.amount < item.restockBelow;
  const today = toDay(world.nowMs());
  const isPast = typeof lot.expiresOn === 'string' && lot.expiresOn < today;
  return (
    <>
      {lot.holder && (
        <Row name={t('Wound on')} how={typed}>
          {wordHolder(lot.holder)}
        </Row>
      )}
      <Suspense>
        <UsedRow household={household} item={item} />
        {item.scrap?.cut === 'odd' && <GivesRow item={item} lot={lot} />}
      </Suspense>
      {reserved > 0 && (
        <Row
          name={t('Free of it')}
          how={t('{amount} less what is promised, {promised}.', {
            amount: wordAmount(item, lot, units),
            promised: formatAmount(reserved, unit, units),
          })}
        >
          {formatAmount(Math.max(0, getAmount(item, lot) - reserved), unit, units)}
        </Row>
      )}
      {lot.outline && <Row name={t('Shape')}>{t('odd; layouts know it')}</Row>}
      {(lot.flaws ?? []).map((flaw, n) => (
        <Row
          key={n}
          name={flaw.note ?? t('Flaw')}
          how={t('Across × along, from the left selvage and from the cut edge.')}
        >
          {t('{size} at {spot}', {
            size: formatSizes([flaw.widthMm, flaw.heightMm], units),
            spot: formatSizes([flaw.xMm, flaw.yMm], units),
          })}
        </Row>
      ))}
      {lot.isThreaded && <Row name={t('Machine')}>{t('threaded with it')}</Row>}
      {typeof lot.isWashed === 'boolean' && <Row name={t('Washed')}>{lot.isWashed ? t('yes') : t('not yet')}</Row>}
      {typeof lot.expiresOn === 'string' && (
        <Row name={t('Good until')} how={typed}>
          {isPast ? (
            <span className="text-madder">{t('{expiresOn}, past', { expiresOn: wordDay(lot.expiresOn) })}</span>
          ) : (
            wordDay(lot.expiresOn)
          )}
        </Row>
      )}
      {(lot.openedOn ?? lot.leaving ?? lot.chores) !== undefined && (
        <Suspense>
          <YearRows lot={lot} />
        </Suspense>
      )}
      {typeof lot.usedHours === 'number' && (
        <Row
          name={t('Sewn with')}
          how={t('The hours that were noted for it; about {hours} is what a needle lasts.', {
            hours: NEEDLE_HOURS,
          })}
        >
          {lot.usedHours >= NEEDLE_HOURS ? (
            <span className="text-madder">{t('{usedHours} h; change it', { usedHours: lot.usedHours })}</span>
          ) : (
            t('{usedHours} h of about {hours}', { usedHours: lot.usedHours, hours: NEEDLE_HOURS })
          )}
        </Row>
      )}
      {isLow && (
        <Row
          name={t('To buy')}
          how={t('All of it together is {amount}; the mark is what its form says.', {
            amount: formatAmount(stock.amount, stock.unit, units),
          })}
        >
          <span className="text-madder">
            {t('below {amount} in all', { amount: formatAmount(item.restockBelow!, stock.unit, units) })}
          </span>
        </Row>
      )}
      <LotLinks lot={lot} item={item} household={household} lots={lots} />
      <ItemFacts item={item} units={units} />
    </>
  );
}

interface LinksProps {
  readonly lot: Lot;
  readonly item: Item;
  readonly household: Household;
  /** All lots of the item. */
  readonly lots: readonly Lot[];
}

/** What it belongs to, and what belongs to it. */
function LotLinks({ lot, item, household, lots }: LinksProps) {
  const { units } = household.settings;
  const kin = lots.filter((one) => one.id !== lot.id);
  const wrapped = listWrapped(household, lot.id);
  const around = lot.withLotId ? household.lots.get(lot.withLotId) : undefined;
  const aroundItem = around && household.items.get(around.itemId);
  const parent = item.scrap?.parentItemId ? household.items.get(item.scrap.parentItemId) : undefined;
  const owner = item.belongsToId && household.items.get(item.belongsToId);
  const parts = item.box ? listAccessories(household, item.id) : [];
  const project = findProjectOfBag(household, lot.id);
  return (
    <>
      {aroundItem && around && <LotRow name={t('Wrapped with')} id={around.id} words={aroundItem.name} />}
      {wrapped.map((one) => {
        const other = household.items.get(one.itemId);
        return (
          other && (
            <LotRow
              key={one.id}
              name={t('Wrapped in it')}
              id={one.id}
              words={`${other.name}, ${wordAmount(other, one, units)}`}
            />
          )
        );
      })}
      {kin.map((one) => (
        <LotRow key={one.id} name={t('Another piece')} id={one.id} words={wordAmount(item, one, units)} />
      ))}
      {owner && <Row name={t('Belongs to')}>{owner.name}</Row>}
      {parts.map((one) => (
        <LotRow
          key={one.id}
          name={t('Its own')}
          id={one.id}
          words={`${household.items.get(one.itemId)!.name}, ${wordAmount(household.items.get(one.itemId)!, one, units)}`}
        />
      ))}
      {parent && !around && <Row name={t('Cut from')}>{parent.name}</Row>}
      {project && (
        <Row isWide name={t('For')}>
          <Link data-name className="text-woad underline underline-offset-4" to={`/projects/${project.id}`}>
            {project.name}
          </Link>
        </Row>
      )}
      {project && project.needs.length > 0 && (
        <Row isWide name={t('Belongs in it')} how={t('What its project takes.')}>
          {project.needs.map((need) => wordTerm(need.part)).join(', ')}
        </Row>
      )}
    </>
  );
}

/** What its form says of a thing, wherever its pieces are. */
function ItemFacts({ item, units }: { item: Item; units: UnitSystem }) {
  const typed = t('As its form says.');
  return (
    <>
      {item.pattern?.needs?.map((need) => (
        <Row
          key={`${need.size} ${need.part} ${need.widthMm}`}
          isWide
          name={[t('Needs'), need.size, wordTerm(need.part)].filter(Boolean).join(', ')}
          how={typed}
        >
          {`${formatAmount(need.lengthMm, 'length', units)} × ${formatSize(need.widthMm, units)}`}
        </Row>
      ))}
      {item.tags && (
        <Row isWide name={t('Tags')}>
          {item.tags.join(', ')}
        </Row>
      )}
      {item.source && (
        <Row isWide name={t('From')}>
          {item.source}
        </Row>
      )}
      {typeof item.cost === 'number' && (
        <Row name={t('Cost')} how={typed}>
          {formatFixed(item.cost, 2)}
        </Row>
      )}
    </>
  );
}

function LotRow({ name, id, words }: { name: string; id: LotId; words: string }) {
  const open = useOpen();
  return (
    <Row isWide name={name}>
      <button
        type="button"
        data-name
        className="text-right text-woad underline underline-offset-4"
        onClick={() => open({ type: 'lot', id })}
      >
        {words}
      </button>
    </Row>
  );
}
