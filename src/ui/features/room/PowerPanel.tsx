import { useMemo } from 'react';
import { computeCircuits, findPowerFaults, listAppliances, type Piece } from '../../../core/room/index.ts';
import type { RoomSpec } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { wordPowerFinding } from '../../text/room.ts';
import { formatFixed, formatNumber, t } from '../../language/index.ts';

/** What has a plug in this room, what runs at once, and what its circuits say to that. */
export function PowerPanel({ room, pieces }: { room: RoomSpec; pieces: readonly Piece[] }) {
  const household = useHousehold();
  const { units } = household.settings;
  const off = useChoices((state) => state.switchedOff);
  const appliances = useMemo(
    () => listAppliances(household, room, (id) => pieces.find((piece) => piece.id === id)?.unit),
    [household, room, pieces],
  );
  const running = appliances.filter((one) => !off.includes(one.itemId));
  const faults = findPowerFaults(room, running);
  if (appliances.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="min-h-9 cursor-pointer py-1 font-semibold text-woad">
        {t('What runs at once')}
        {faults.some((one) => one.isFault) && <span className="text-madder"> {t('– too much')}</span>}
      </summary>
      <ul aria-label={t('Appliances')}>
        {appliances.map(({ itemId, name, watts }) => (
          <li key={itemId} className="dotted-row">
            <label className="flex min-h-11 items-center gap-2 md:min-h-8">
              <input
                type="checkbox"
                className="size-4 accent-woad"
                checked={!off.includes(itemId)}
                onChange={(event) =>
                  useChoices.setState({
                    switchedOff: event.target.checked ? off.filter((one) => one !== itemId) : [...off, itemId],
                  })
                }
              />
              <span className="min-w-0 flex-1 break-words">{name}</span>
              <span
                className="tabular"
                {...explained(t('As its form says: what was typed there, or usual for its type.'))}
              >
                {t('{watts} W', { watts: formatNumber(watts) })}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <dl className="mt-1">
        {computeCircuits(room, running).map(({ circuitId, name, watts, amps, limitAmps }) => (
          <div key={circuitId} className="dotted-row py-1">
            <dt className="text-stone">{name}</dt>
            <dd
              className="tabular font-semibold"
              {...explained(
                t('The watts of what runs on it, added up, by its volts. For hours it takes four fifths of its fuse.'),
              )}
            >
              {t('{watts} W, {amps} A of {limitAmps} A', {
                watts: formatNumber(watts),
                amps: formatFixed(amps, 1),
                limitAmps,
              })}
            </dd>
          </div>
        ))}
      </dl>
      <ul aria-label={t('Power')}>
        {faults.map((fault) => (
          <li
            key={`${fault.code} ${fault.aboutId}`}
            className={`dotted-row border-l-4 py-1.5 pl-2 ${fault.isFault ? 'border-madder' : 'border-weld'}`}
          >
            {wordPowerFinding(fault, units)}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-stone">
        {t(
          'Each hangs on the socket nearest to where you work with it. Local codes and an electrician decide; hot things are off when you leave.',
        )}
      </p>
    </details>
  );
}
