import { lazy, Suspense, useState, type KeyboardEvent, type ReactNode } from 'react';
import { Navigate, useParams } from 'react-router';
import { moveUnit, turnUnit, type Finding, type Piece } from '../../../core/room/index.ts';
import type { Place, PlaceId, RoomSpec, UnitSpec } from '../../../core/records/index.ts';
import { formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { Figure, Page } from '../../components/Page.tsx';
import { PlanView } from '../../drawing/PlanView.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordUnitKind } from '../../text/index.ts';
import { wordTriangle } from '../../text/room.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { Findings, PlanAside } from './PlanAside.tsx';
import { keyOf, useLines, type Line } from './planLines.ts';
import { PieceTicket } from './PieceTicket.tsx';
import { putOpening } from './putOpening.ts';
import { RoomForm } from './RoomForm.tsx';
import { RoomTabs } from './RoomTabs.tsx';
import type { Tapped } from './ShapePanel.tsx';
import { usePlan } from './usePlan.ts';
import { usePlanMode } from './usePlanMode.ts';
import { t } from '../../language/index.ts';

const ShapePanel = lazy(async () => ({ default: (await import('./ShapePanel.tsx')).ShapePanel }));
const FurnishPanel = lazy(async () => ({ default: (await import('./FurnishPanel.tsx')).FurnishPanel }));
const ArrangeScreen = lazy(async () => ({ default: (await import('./ArrangeScreen.tsx')).ArrangeScreen }));

/** A piece let go so near to a wall or another stands right at it. */
const SNAP_MM = 70;
const STEP_MM = 10;

/** The floor plan of a room: its furniture to scale, moved by hand or keys, judged as it moves. */
export function PlanPage() {
  const household = useHousehold();
  const { roomId } = useParams();
  const { rooms } = getTree(household);
  const asked = rooms.find((one) => one.id === roomId);
  // A room that is gone takes with it what one was at in it: the next one is only looked at.
  if (roomId !== undefined && !asked) return <Navigate to="/room/plan" replace />;
  const room = asked ?? rooms[0];
  return room ? <FloorPlan key={room.id} room={room} rooms={rooms} /> : <Navigate to="/stash" replace />;
}

/** A piece, what it is and where it stands, as it is read out. */
function describePiece(piece: Piece, spec: RoomSpec, findings: readonly Finding[], units: UnitSystem): string {
  const count = findings.filter((one) => one.bodyId === piece.id || one.otherId === piece.id).length;
  const { unit } = piece;
  const where = unit.stand
    ? t('free, {across} from the left, {down} from the top', {
        across: formatSize(unit.stand.xMm, units),
        down: formatSize(unit.stand.yMm, units),
      })
    : t('{find}, {size} from the left', {
        find: spec.walls.find((wall) => wall.id === unit.wallId)?.name ?? '',
        size: formatSize(unit.xMm, units),
      });
  return `${piece.name}, ${wordUnitKind(unit.kind)}: ${where}${unit.isFixed ? t(', locked') : ''}${count > 0 ? t('; {count, plural, one {# finding} other {# findings}}', { count }) : ''}`;
}

interface PieceKeys {
  readonly spec: RoomSpec;
  /** The other pieces. */
  readonly others: UnitSpec[];
  readonly hold: (id: PlaceId, unit: UnitSpec) => void;
  readonly keep: (when?: 'rest') => void;
  readonly turn: (piece: Piece, deg: number) => void;
  readonly edit: (id: PlaceId) => void;
}

/** What a key does to a piece: arrows move it, R turns, L locks, Enter opens its measures. False where it does nothing. */
function pressKey(event: KeyboardEvent, piece: Piece, { spec, others, hold, keep, turn, edit }: PieceKeys): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return false;
  const step = STEP_MM * (event.shiftKey ? 10 : 1);
  const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
  const key = event.key.toLowerCase();
  if (by && !piece.unit.isFixed) {
    hold(piece.id, moveUnit(spec, piece.unit, { xMm: by[0]!, yMm: by[1]! }, others, 0));
    keep('rest');
  } else if (key === 'r' && !piece.unit.isFixed) turn(piece, event.shiftKey ? 15 : 90);
  else if (key === 'l') {
    hold(piece.id, { ...piece.unit, isFixed: !piece.unit.isFixed });
    keep();
  } else if (key === 'enter') edit(piece.id);
  else return false;
  return true;
}

interface PlanFiguresProps {
  readonly lines: ReturnType<typeof useLines>;
  readonly triangle: ReturnType<typeof usePlan>['triangle'];
}

/** What cannot stay, what is lived with, and how far one walks. */
function PlanFigures({ lines, triangle }: PlanFiguresProps) {
  const { units } = useHousehold().settings;
  const faults = lines.filter((line) => line.isFault).length;
  return (
    <>
      <Figure
        value={String(faults)}
        label={t('{faults, plural, one {thing has to change} other {things have to change}}', { faults })}
        how={t(
          'Pieces in each other or out of the room, doors that hit something, fronts before which one cannot stand, ways under 60 cm; what is overloaded, or tips when its drawers are pulled out.',
        )}
      />
      <Figure
        value={String(lines.length - faults)}
        label={t('to be lived with')}
        how={t(
          'Less than the usual space for a chair, a drawer’s pull or an easy walkway of 90 cm; covered sockets and windows; cloth near a heater; what is not anchored, or heavy to lift.',
        )}
      />
      {triangle && (
        <Figure
          value={`${Math.round(triangle.metresPerHour)} m`}
          label={t('walked in an hour of sewing')}
          how={wordTriangle(triangle, units)}
        />
      )}
      <p className="text-sm text-stone">
        {t('Drag a piece, or move it by the arrow keys: 1 cm, with Shift 10 cm. R turns it, L locks it.')}
      </p>
    </>
  );
}

interface PlanSideProps {
  readonly room: Place;
  readonly mode: ReturnType<typeof usePlanMode>['mode'];
  readonly isTicket: boolean;
  readonly tapped: Tapped;
  readonly onDraft: (room: RoomSpec | null) => void;
  readonly onTapped: (next: Tapped) => void;
  readonly onLeave: () => void;
  readonly onFinish: () => void;
  readonly findings: ReactNode;
  /** The plan's own side, where nothing else is asked for. */
  readonly children: ReactNode;
}

/** What hangs at the right of the plan: a ticket with what there is to look at under it, what one is at, or the plan itself. */
function PlanSide(props: PlanSideProps) {
  const { room, mode, isTicket, tapped, onDraft, onTapped, onLeave, onFinish, findings, children } = props;
  if (isTicket)
    return (
      <>
        <TicketPane hint="" />
        {findings}
      </>
    );
  if (mode === 'measure') return <RoomForm room={room} onDraft={onDraft} onDone={onLeave} />;
  return (
    <Suspense>
      {mode === 'shape' ? (
        <ShapePanel room={room} onDraft={onDraft} tapped={tapped} onTapped={onTapped} onDone={onFinish} />
      ) : mode === 'furnish' ? (
        <FurnishPanel room={room} onDone={onFinish} />
      ) : (
        children
      )}
    </Suspense>
  );
}

/** What hands and keys do to a piece on the plan. */
function usePieceHands(
  spec: RoomSpec,
  others: (id: PlaceId) => UnitSpec[],
  { hold, keep }: Pick<ReturnType<typeof usePlan>, 'hold' | 'keep'>,
) {
  const show = useApp((state) => state.show);
  const put = (id: PlaceId, unit: UnitSpec) => {
    hold(id, unit);
    keep();
  };
  const turn = (piece: Piece, deg: number) => {
    hold(piece.id, turnUnit(spec, piece.unit, deg));
    keep('rest');
  };
  const onKey = (event: KeyboardEvent, piece: Piece) => {
    if (
      !pressKey(event, piece, {
        spec,
        others: others(piece.id),
        hold,
        keep,
        turn,
        edit: (id) => show({ type: 'editUnit', id }),
      })
    )
      return;
    event.preventDefault();
    event.stopPropagation();
  };

  return { put, turn, onKey };
}

function FloorPlan({ room, rooms }: { room: Place; rooms: readonly Place[] }) {
  const household = useHousehold();
  const { units } = household.settings;
  const ticket = useApp((state) => state.ticket);
  const show = useApp((state) => state.show);
  const [chosen, setChosen] = useState<PlaceId | null>(null);
  const [shownAt, setShownAt] = useState<string | null>(null);
  const [draft, setDraft] = useState<RoomSpec | null>(null);
  const [tapped, setTapped] = useState<Tapped>(null);
  const { mode, turnTo, finish } = usePlanMode();
  const spec = draft ?? room.room!;
  const { pieces, findings, triangle, hold, keep } = usePlan(room, spec);
  const shown = findings.find((finding) => keyOf(finding) === shownAt) ?? null;
  const chosenPiece = pieces.find((piece) => piece.id === chosen) ?? null;
  const others = (id: PlaceId) => pieces.filter((piece) => piece.id !== id).map((piece) => piece.unit);
  const lines = useLines(room, spec, pieces, findings);

  const [isArranging, setArranging] = useState(false);
  const looking = {
    lines,
    shownAt,
    onShow: (line: Line) => {
      setShownAt(shownAt === line.key ? null : line.key);
      if (pieces.some((piece) => piece.id === line.bodyId)) setChosen(line.bodyId as PlaceId);
    },
  };

  const { put, turn, onKey } = usePieceHands(spec, others, { hold, keep });

  if (isArranging)
    return (
      <Suspense>
        <ArrangeScreen room={room} pieces={pieces} onDone={() => setArranging(false)} />
      </Suspense>
    );

  return (
    <Page
      title={room.name}
      tabs={<RoomTabs roomId={room.id} here={room.id} />}
      asideLabel={ticket ? t('Ticket') : t('Plan')}
      aside={
        <PlanSide
          room={room}
          mode={mode}
          isTicket={ticket !== null}
          tapped={tapped}
          onDraft={setDraft}
          onTapped={setTapped}
          onLeave={() => {
            setDraft(null);
            turnTo(null);
          }}
          onFinish={() => {
            setTapped(null);
            finish();
          }}
          findings={<Findings {...looking} isBelow />}
        >
          <PlanAside
            {...looking}
            room={room}
            rooms={rooms}
            spec={spec}
            pieces={pieces}
            onMode={turnTo}
            onArrange={() => setArranging(true)}
          >
            {chosenPiece && (
              <PieceTicket
                key={chosenPiece.id}
                room={room}
                piece={chosenPiece}
                onHold={(unit) => put(chosenPiece.id, unit)}
                onTurn={(deg) => turn(chosenPiece, deg)}
              />
            )}
          </PlanAside>
        </PlanSide>
      }
      foot={<PlanFigures lines={lines} triangle={triangle} />}
    >
      <PlanView
        room={spec}
        pieces={pieces}
        findings={findings}
        chosen={chosen}
        shown={shown}
        units={units}
        onTap={
          tapped && mode === 'shape' ? (wallId, alongMm) => void putOpening(room, tapped, wallId, alongMm) : undefined
        }
        label={
          rooms.length > 1
            ? t('Floor plan of {room}, one of {rooms} rooms', { room: room.name, rooms: rooms.length })
            : t('Floor plan of {room}', { room: room.name })
        }
        grip={{
          describe: (piece) => describePiece(piece, spec, findings, units),
          onChoose: (id) => {
            setChosen(id);
            if (ticket) show(null);
          },
          onCarry: (id, from, byMm, isDown) => {
            hold(id, moveUnit(spec, from.unit, byMm, others(id), SNAP_MM));
            if (!isDown) keep();
          },
          onCancel: (from) => put(from.id, from.unit),
          onKey,
        }}
      />
    </Page>
  );
}
