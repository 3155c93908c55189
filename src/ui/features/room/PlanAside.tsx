import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { createBareRoom, type Piece } from '../../../core/room/index.ts';
import type { Place, PlaceId, RoomSpec } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { PieceFromFile } from './PieceFromFile.tsx';
import type { Line } from './planLines.ts';
import { PowerPanel } from './PowerPanel.tsx';
import { SheetMenu } from './SheetMenu.tsx';
import { t } from '../../language/index.ts';

interface FindingsProps {
  readonly lines: readonly Line[];
  readonly shownAt: string | null;
  readonly onShow: (line: Line) => void;
  /** Something else is above it. */
  readonly isBelow: boolean;
}

/** What there is to look at in a room, each line where it is on the plan. */
export function Findings({ lines, shownAt, onShow, isBelow }: FindingsProps) {
  return (
    <>
      <h2
        className={`font-display text-[21px] leading-tight font-semibold ${isBelow ? 'stitched-t mt-4 pt-3' : ''}`}
        {...explained(
          t(
            'All that is listed here: where things stand, what hits what, what is too heavy; each line says its own measures.',
          ),
        )}
      >
        {lines.length === 0
          ? t('Nothing is in the way')
          : t('{n, plural, one {# thing} other {# things}}', { n: lines.length }) + t(' to look at')}
      </h2>
      <ul className="mt-2">
        {lines.map((line) => (
          <li key={line.key} className="dotted-row">
            <button
              type="button"
              aria-pressed={shownAt === line.key}
              className={`min-h-11 w-full border-l-4 py-1.5 pl-2 text-left hover:bg-linen ${line.isFault ? 'border-madder' : 'border-weld'} ${shownAt === line.key ? 'bg-linen font-semibold' : ''}`}
              onClick={() => onShow(line)}
            >
              <span className="text-sm text-stone">{line.isFault ? t('Has to change') : t('Can be lived with')}</span>
              <span className="block">{line.words}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

interface PlanAsideProps extends Omit<FindingsProps, 'isBelow'> {
  readonly room: Place;
  readonly rooms: readonly Place[];
  readonly spec: RoomSpec;
  readonly pieces: readonly Piece[];
  readonly onMode: (mode: 'measure' | 'shape' | 'furnish') => void;
  readonly onArrange: () => void;
  /** The ticket of the piece that is chosen. */
  readonly children: ReactNode;
}

/** What there is to look at in the room, and what can be done with all of it. */
export function PlanAside(props: PlanAsideProps) {
  const { room, rooms, spec, pieces, lines, shownAt, onShow, onMode, onArrange, children } = props;
  const { units } = useHousehold().settings;
  const navigate = useNavigate();
  const addRoom = async () => {
    const id = world.createId() as PlaceId;
    const name = t('Room {rooms}', { rooms: rooms.length + 1 });
    const added = createBareRoom(id, name, rooms.length, [], world.createId);
    if (await act((now) => createSavePlaces(now, name, [added], [], world.nowMs()))) void navigate(`/room/plan/${id}`);
  };
  return (
    <>
      {children}
      <Findings lines={lines} shownAt={shownAt} onShow={onShow} isBelow={Boolean(children)} />
      {spec.doors.length === 0 && (
        <p className="mt-2 border-l-4 border-weld bg-linen px-3 py-2 text-sm">
          {t('No door is drawn yet, so nothing is said of the ways in.')}{' '}
          <Button look="quiet" onClick={() => onMode('shape')}>
            {t('Say where it is')}
          </Button>
        </p>
      )}
      <div className="mt-3 grid grid-cols-2 gap-2">
        <Button data-key="n" onClick={() => onMode('furnish')}>
          {t('Add furniture')} <kbd className="pl-1 font-normal">N</kbd>
        </Button>
        <Button data-key="a" onClick={onArrange}>
          {t('Arrange')} <kbd className="pl-1 font-normal">A</kbd>
        </Button>
        <Button onClick={() => onMode('shape')}>{t('Shape of the room')}</Button>
        <Button onClick={() => onMode('measure')}>{t('Measure the room')}</Button>
      </div>
      <PowerPanel room={spec} pieces={pieces} />
      <SheetMenu
        name={room.name}
        draw={async (scale) => {
          const { createPlanSheet } = await import('../../../core/formats/sheet/index.ts');
          return createPlanSheet(spec, room.name, pieces, scale, units);
        }}
        cutOut={async (scale) => {
          const { createCutOuts } = await import('../../../core/formats/sheet/index.ts');
          return createCutOuts(pieces, scale, units);
        }}
      />
      <PieceFromFile room={room} />
      <Button look="quiet" onClick={() => void addRoom()}>
        {t('Add a room')}
      </Button>
      <p className="mt-3 text-sm text-stone">
        {t(
          'Measures are the usual ones. Tall furniture can tip and heaters can burn: your local code, the makers’ instructions and a licensed builder or electrician decide.',
        )}
      </p>
    </>
  );
}
