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

const GivesRow = lazy(async () => ({ default: (await import('./GivesRow.tsx')).GivesRow }));
const YearRows = lazy(async () => ({ default: (await import('./YearRows.tsx')).YearRows }));
const UsedRow = lazy(async () => ({ default: (await import('./UsedRow.tsx')).UsedRow }));

/** Rows of a ticket that are there only where there is something to say. */
export function LotFacts({ household, item, lot }: { household: Household; item: Item; lot: Lot }) {
  const { units } = household.settings;
  const unit = getAmountUnit(item, lot);
  const typed = 'As its form says.';
  const lots = (getLotsByItem(household).get(item.id) ?? []).flatMap((id) => household.lots.get(id) ?? []);
  const kin = lots.filter((one) => one.id !== lot.id);
  const wrapped = listWrapped(household, lot.id);
  const around = lot.withLotId ? household.lots.get(lot.withLotId) : undefined;
  const aroundItem = around && household.items.get(around.itemId);
  const parent = item.scrap?.parentItemId ? household.items.get(item.scrap.parentItemId) : undefined;
  const owner = item.belongsToId && household.items.get(item.belongsToId);
  const parts = item.box ? listAccessories(household, item.id) : [];
  const reserved = getReserved(lot);
  const project = findProjectOfBag(household, lot.id);
  const stock = computeStock(item, lots);
  const isLow = item.restockBelow !== undefined && stock.amount < item.restockBelow;
  const today = toDay(world.nowMs());
  const isPast = typeof lot.expiresOn === 'string' && lot.expiresOn < today;
  return (
    <>
      {lot.holder && (
        <Row name="Wound on" how={typed}>
          {wordHolder(lot.holder)}
        </Row>
      )}
      <Suspense>
        <UsedRow household={household} item={item} />
        {item.scrap?.cut === 'odd' && <GivesRow item={item} lot={lot} />}
      </Suspense>
      {reserved > 0 && (
        <Row
          name="Free of it"
          how={`${wordAmount(item, lot, units)} less what is promised, ${formatAmount(reserved, unit, units)}.`}
        >
          {formatAmount(Math.max(0, getAmount(item, lot) - reserved), unit, units)}
        </Row>
      )}
      {lot.outline && <Row name="Shape">odd; layouts know it</Row>}
      {(lot.flaws ?? []).map((flaw, n) => (
        <Row key={n} name={flaw.note ?? 'Flaw'} how="Across × along, from the left selvage and from the cut edge.">
          {`${formatSizes([flaw.widthMm, flaw.heightMm], units)} at ${formatSizes([flaw.xMm, flaw.yMm], units)}`}
        </Row>
      ))}
      {lot.isThreaded && <Row name="Machine">threaded with it</Row>}
      {typeof lot.isWashed === 'boolean' && <Row name="Washed">{lot.isWashed ? 'yes' : 'not yet'}</Row>}
      {typeof lot.expiresOn === 'string' && (
        <Row name="Good until" how={typed}>
          {isPast ? <span className="text-madder">{lot.expiresOn}, past</span> : lot.expiresOn}
        </Row>
      )}
      {(lot.openedOn ?? lot.leaving ?? lot.chores) !== undefined && (
        <Suspense>
          <YearRows lot={lot} />
        </Suspense>
      )}
      {typeof lot.usedHours === 'number' && (
        <Row name="Sewn with" how={`The hours that were noted for it; about ${NEEDLE_HOURS} is what a needle lasts.`}>
          {lot.usedHours >= NEEDLE_HOURS ? (
            <span className="text-madder">{`${lot.usedHours} h; change it`}</span>
          ) : (
            `${lot.usedHours} h of about ${NEEDLE_HOURS}`
          )}
        </Row>
      )}
      {isLow && (
        <Row
          name="To buy"
          how={`All of it together is ${formatAmount(stock.amount, stock.unit, units)}; the mark is what its form says.`}
        >
          <span className="text-madder">below {formatAmount(item.restockBelow!, stock.unit, units)} in all</span>
        </Row>
      )}
      {aroundItem && around && <LotRow name="Wrapped with" id={around.id} words={aroundItem.name} />}
      {wrapped.map((one) => {
        const other = household.items.get(one.itemId);
        return (
          other && (
            <LotRow
              key={one.id}
              name="Wrapped in it"
              id={one.id}
              words={`${other.name}, ${wordAmount(other, one, units)}`}
            />
          )
        );
      })}
      {kin.map((one) => (
        <LotRow key={one.id} name="Another piece" id={one.id} words={wordAmount(item, one, units)} />
      ))}
      {owner && <Row name="Belongs to">{owner.name}</Row>}
      {parts.map((one) => (
        <LotRow
          key={one.id}
          name="Its own"
          id={one.id}
          words={`${household.items.get(one.itemId)!.name}, ${wordAmount(household.items.get(one.itemId)!, one, units)}`}
        />
      ))}
      {parent && !around && <Row name="Cut from">{parent.name}</Row>}
      {project && (
        <Row isWide name="For">
          <Link data-name className="text-woad underline underline-offset-4" to={`/projects/${project.id}`}>
            {project.name}
          </Link>
        </Row>
      )}
      {project && project.needs.length > 0 && (
        <Row isWide name="Belongs in it" how="What its project takes.">
          {project.needs.map((need) => need.part).join(', ')}
        </Row>
      )}
      <ItemFacts item={item} units={units} />
    </>
  );
}

/** What its form says of a thing, wherever its pieces are. */
function ItemFacts({ item, units }: { item: Item; units: UnitSystem }) {
  const typed = 'As its form says.';
  return (
    <>
      {item.pattern?.needs?.map((need) => (
        <Row
          key={`${need.size} ${need.part} ${need.widthMm}`}
          isWide
          name={['Needs', need.size, need.part].filter(Boolean).join(', ')}
          how={typed}
        >
          {`${formatAmount(need.lengthMm, 'length', units)} × ${formatSize(need.widthMm, units)}`}
        </Row>
      ))}
      {item.tags && (
        <Row isWide name="Tags">
          {item.tags.join(', ')}
        </Row>
      )}
      {item.source && (
        <Row isWide name="From">
          {item.source}
        </Row>
      )}
      {typeof item.cost === 'number' && (
        <Row name="Cost" how={typed}>
          {item.cost.toFixed(2)}
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
