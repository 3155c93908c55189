import { lazy, Suspense } from 'react';
import { Link, useNavigate } from 'react-router';
import { formatSize } from '../../../core/units/index.ts';
import { getAncestor } from '../../../core/storage/index.ts';
import { Button, linkClass } from '../../components/Button.tsx';
import { WishButton } from '../../components/WishButton.tsx';
import { useApp, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { takeOut } from '../../state/takeOut.ts';
import { getTree } from '../../state/derived.ts';
import { addScrap } from './addScrap.ts';
import type { Asked, LotProps } from './LotAsked.tsx';
import { createThreaded, createWash } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

const YearActs = lazy(async () => ({ default: (await import('./YearActs.tsx')).YearActs }));

/** Acts on a lot that are wanted now and then: promise it, wash it, add another lot or a scrap of it. */
export function LotMore({ household, item, lot, onAsk }: LotProps & { onAsk: (asked: Asked) => void }) {
  const show = useApp((state) => state.show);
  const navigate = useNavigate();
  /** It stays, and a plan with few moves is found for all else. */
  const mend = async () => {
    const { useFitRun } = await import('../fit/fitRun.ts');
    useFitRun.getState().startMend(household, [lot.id]);
    show(null);
    await navigate('/fit');
  };
  const isCloth = item.kind === 'fabric' || item.kind === 'scrap';
  const isLength = item.kind === 'fabric' && !lot.heap && lot.lengthMm !== undefined;
  const unit = lot.placeId ? getAncestor(getTree(household), lot.placeId, 'unit') : null;
  return (
    <section aria-label={t('More to do with it')} className="stitched-t mt-4 pt-3">
      <div className="flex flex-wrap gap-x-5 gap-y-1">
        <Button look="quiet" data-key="r" onClick={() => onAsk('reserve')}>
          {t('Promise it to something')} <kbd className="font-normal">R</kbd>
        </Button>
        {isCloth && !lot.heap && item.scrap?.cut !== 'square' && (
          <Button look="quiet" onClick={() => onAsk('cutUp')}>
            {t('Cut it up')}
          </Button>
        )}
        {isLength && <LengthActs household={household} item={item} lot={lot} onAsk={onAsk} />}
        {item.thread && (
          <Button
            look="quiet"
            onClick={() => void act((now) => createThreaded(now, lot.isThreaded ? null : lot.id, world.nowMs()))}
          >
            {lot.isThreaded ? t('It is off the machine') : t('The machine is threaded with it')}
          </Button>
        )}
        {isCloth && lot.isWashed !== true && (
          <Button look="quiet" onClick={() => void act((now) => createWash(now, lot.id, world.nowMs()))}>
            {t('It is washed now')}
          </Button>
        )}
        <Suspense>
          <YearActs lot={lot} item={item} onChores={() => onAsk('chores')} />
        </Suspense>
        <Button look="quiet" data-key="x" onClick={() => onAsk('leave')}>
          {t('Used, lent, given, gone')} <kbd className="font-normal">X</kbd>
        </Button>
        <Button look="quiet" onClick={() => onAsk('lot')}>
          {t('Another piece of it')}
        </Button>
        {item.kind === 'fabric' && (
          <Button
            look="quiet"
            onClick={() =>
              void addScrap(item, lot).then((made) => {
                if (made) show({ type: 'editItem', ...made });
              })
            }
          >
            {t('A scrap of it, wrapped with it')}
          </Button>
        )}
        {isCloth &&
          (lot.state === 'with' ? (
            <Button look="quiet" onClick={() => void takeOut(lot.id)}>
              {t('Unwrap it')}
            </Button>
          ) : (
            <Button look="quiet" onClick={() => onAsk('wrap')}>
              {t('Wrap it with another')}
            </Button>
          ))}
        <Button look="quiet" data-key="d" onClick={() => show({ type: 'newItem', kind: item.kind, like: lot.id })}>
          {t('Another like this')} <kbd className="font-normal">D</kbd>
        </Button>
        <Button look="quiet" onClick={() => onAsk('alike')}>
          {t('More of the same')}
        </Button>
        <Button look="quiet" onClick={() => onAsk('merge')}>
          {t('Do I have it twice?')}
        </Button>
        {(lot.placeId ?? lot.homeId) !== undefined && (
          <WishButton wish={{ kind: 'stays', lotIds: [lot.id] }}>{t('Plans leave it where it is')}</WishButton>
        )}
        {lot.placeId !== undefined && (
          <Button look="quiet" onClick={() => void mend()}>
            {t('Plan the rest around it')}
          </Button>
        )}
        {unit && (
          <WishButton wish={{ kind: 'notIn', lotIds: [lot.id], placeId: unit.id }}>
            {t('Plans never put it into {unit}', { unit: unit.name })}
          </WishButton>
        )}
      </div>
    </section>
  );
}

/** What is asked of a length of cloth only. */
function LengthActs({ household, item, lot, onAsk }: LotProps & { onAsk: (asked: Asked) => void }) {
  const { units } = household.settings;
  const width = encodeURIComponent(formatSize(lot.widthMm ?? item.fabric!.widthMm, units));
  return (
    <>
      <Button look="quiet" onClick={() => onAsk('makeable')}>
        {t('What could be made of it?')}
      </Button>
      <Link className={linkClass} to={`/projects/sums?backWidth=${width}&boundWidth=${width}`}>
        {t('Sums for it')}
      </Link>
      <Button look="quiet" onClick={() => onAsk('shape')}>
        {t('Flaws and shape')}
      </Button>
    </>
  );
}
