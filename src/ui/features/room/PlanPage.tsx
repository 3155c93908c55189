import { lazy, Suspense, useMemo, useState, type KeyboardEvent, type ReactNode } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import {
  computeLoads,
  createBareRoom,
  findLoadFaults,
  moveUnit,
  turnUnit,
  type Finding,
  type Piece,
} from '../../../core/room/index.ts';
import type { Place, PlaceId, RoomSpec, UnitSpec } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Figure, Page } from '../../components/Page.tsx';
import { PlanView } from '../../drawing/PlanView.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { wordCount, wordUnitKind } from '../../text/index.ts';
import { wordFinding, wordLoadFinding, wordTriangle } from '../../text/room.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { PieceTicket } from './PieceTicket.tsx';
import { PowerPanel } from './PowerPanel.tsx';
import { RoomForm } from './RoomForm.tsx';
import { PieceFromFile } from './PieceFromFile.tsx';
import { RoomTabs } from './RoomTabs.tsx';
import { SheetMenu } from './SheetMenu.tsx';
import { usePlan } from './usePlan.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';

const ArrangeScreen = lazy(async () => ({ default: (await import('./ArrangeScreen.tsx')).ArrangeScreen }));

/** A piece let go so near to a wall or another stands right at it. */
const SNAP_MM = 70;
const STEP_MM = 10;

/** The floor plan of a room: its furniture to scale, moved by hand or keys, judged as it moves. */
export function PlanPage() {
  const household = useHousehold();
  const { roomId } = useParams();
  const { rooms } = getTree(household);
  const room = rooms.find((one) => one.id === roomId) ?? rooms[0];
  return room ? <FloorPlan key={room.id} room={room} rooms={rooms} /> : <Navigate to="/stash" replace />;
}

const keyOf = (finding: Finding) => `${finding.code} ${finding.bodyId} ${finding.otherId ?? ''}`;

/** Something to look at: what stands in the way, or is too heavy. */
interface Line {
  readonly key: string;
  readonly isFault: boolean;
  readonly bodyId: string;
  readonly words: string;
}

/** All there is to look at in a room, what cannot stay first. */
function useLines(room: Place, spec: RoomSpec, pieces: readonly Piece[], findings: readonly Finding[]): Line[] {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const nameUnit = (id: string) => pieces.find((piece) => piece.id === id)?.name ?? id;
  // What is in the furniture does not change while it is moved.
  const heavy = useMemo(
    () => computeLoads(household, tree, room.id).flatMap((load) => findLoadFaults(household, tree, load)),
    [household, tree, room.id],
  );
  return [
    ...findings.map((finding) => ({
      key: keyOf(finding),
      isFault: finding.isFault,
      bodyId: finding.bodyId,
      words: wordFinding(finding, spec, nameUnit, units),
    })),
    ...heavy.map((finding) => ({
      key: `${finding.code} ${finding.placeId}`,
      isFault: finding.isFault,
      bodyId: finding.unitId,
      words: wordLoadFinding(finding, formatPlaceName(tree, finding.placeId), units),
    })),
  ].toSorted((a, b) => Number(b.isFault) - Number(a.isFault));
}

/** A piece, what it is and where it stands, as it is read out. */
function describePiece(piece: Piece, spec: RoomSpec, findings: readonly Finding[], units: UnitSystem): string {
  const count = findings.filter((one) => one.bodyId === piece.id || one.otherId === piece.id).length;
  const { unit } = piece;
  const where = unit.stand
    ? `free, ${formatSize(unit.stand.xMm, units)} from the left, ${formatSize(unit.stand.yMm, units)} from the top`
    : `${spec.walls.find((wall) => wall.id === unit.wallId)?.name ?? ''}, ${formatSize(unit.xMm, units)} from the left`;
  return `${piece.name}, ${wordUnitKind(unit.kind)}: ${where}${unit.isFixed ? ', locked' : ''}${count > 0 ? `; ${wordCount(count, 'finding')}` : ''}`;
}

interface PlanAsideProps {
  readonly room: Place;
  readonly rooms: readonly Place[];
  readonly spec: RoomSpec;
  readonly pieces: readonly Piece[];
  readonly lines: readonly Line[];
  readonly shownAt: string | null;
  readonly onShow: (line: Line) => void;
  readonly onMeasure: () => void;
  readonly onArrange: () => void;
  /** The ticket of the piece that is chosen. */
  readonly children: ReactNode;
}

/** What there is to look at in the room, and what can be done with all of it. */
function PlanAside(props: PlanAsideProps) {
  const { room, rooms, spec, pieces, lines, shownAt, onShow, onMeasure, onArrange, children } = props;
  const { units } = useHousehold().settings;
  const navigate = useNavigate();
  const addRoom = async () => {
    const id = world.createId() as PlaceId;
    const name = `Room ${rooms.length + 1}`;
    const added = createBareRoom(id, name, rooms.length, [], world.createId);
    if (await act((now) => createSavePlaces(now, name, [added], [], world.nowMs()))) void navigate(`/room/plan/${id}`);
  };
  return (
    <>
      {children}
      <h2
        className={`font-display text-[21px] leading-tight font-semibold ${children ? 'stitched-t mt-4 pt-3' : ''}`}
        {...explained(
          'All that is listed here: where things stand, what hits what, what is too heavy; each line says its own measures.',
        )}
      >
        {lines.length === 0 ? 'Nothing is in the way' : wordCount(lines.length, 'thing') + ' to look at'}
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
              <span className="text-sm text-stone">{line.isFault ? 'Cannot stay' : 'Can be lived with'}</span>
              <span className="block">{line.words}</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-3 grid grid-cols-2 gap-2">
        <Button onClick={onMeasure}>Measure the room</Button>
        <Button data-key="a" onClick={onArrange}>
          Arrange <kbd className="pl-1 font-normal">A</kbd>
        </Button>
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
        Add a room
      </Button>
      <p className="mt-3 text-sm text-stone">
        Measures are the usual ones. Tall furniture can tip and heaters can burn: your local code, the makers’
        instructions and a licensed builder or electrician decide.
      </p>
    </>
  );
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
        label={faults === 1 ? 'thing that cannot stay' : 'things that cannot stay'}
        how="Pieces in each other or out of the room, doors that hit something, fronts before which one cannot stand, ways under 60 cm; what is overloaded, or tips when its drawers are pulled out."
      />
      <Figure
        value={String(lines.length - faults)}
        label="to be lived with"
        how="Less than the usual space for a chair, a drawer’s pull or an easy walkway of 90 cm; covered sockets and windows; cloth near a heater; what is not anchored, or heavy to lift."
      />
      {triangle && (
        <Figure
          value={`${Math.round(triangle.metresPerHour)} m`}
          label="walked in an hour of sewing"
          how={wordTriangle(triangle, units)}
        />
      )}
      <p className="text-sm text-stone">
        Drag a piece, or move it by the arrow keys: 1 cm, with Shift 10 cm. R turns it, L locks it.
      </p>
    </>
  );
}

function FloorPlan({ room, rooms }: { room: Place; rooms: readonly Place[] }) {
  const household = useHousehold();
  const { units } = household.settings;
  const ticket = useApp((state) => state.ticket);
  const show = useApp((state) => state.show);
  const [chosen, setChosen] = useState<PlaceId | null>(null);
  const [shownAt, setShownAt] = useState<string | null>(null);
  const [draft, setDraft] = useState<RoomSpec | null>(null);
  const [isMeasuring, setMeasuring] = useState(false);
  const spec = draft ?? room.room!;
  const { pieces, findings, triangle, hold, keep } = usePlan(room, spec);
  const shown = findings.find((finding) => keyOf(finding) === shownAt) ?? null;
  const chosenPiece = pieces.find((piece) => piece.id === chosen) ?? null;
  const others = (id: PlaceId) => pieces.filter((piece) => piece.id !== id).map((piece) => piece.unit);
  const lines = useLines(room, spec, pieces, findings);

  const [isArranging, setArranging] = useState(false);

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
      asideLabel={ticket ? 'Ticket' : 'Plan'}
      aside={
        ticket ? (
          <TicketPane hint="" />
        ) : isMeasuring ? (
          <RoomForm
            room={room}
            onDraft={setDraft}
            onDone={() => {
              setDraft(null);
              setMeasuring(false);
            }}
          />
        ) : (
          <PlanAside
            room={room}
            rooms={rooms}
            spec={spec}
            pieces={pieces}
            lines={lines}
            shownAt={shownAt}
            onShow={(line) => {
              setShownAt(shownAt === line.key ? null : line.key);
              if (pieces.some((piece) => piece.id === line.bodyId)) setChosen(line.bodyId as PlaceId);
            }}
            onMeasure={() => setMeasuring(true)}
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
        )
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
        label={`Floor plan of ${room.name}${rooms.length > 1 ? `, one of ${rooms.length} rooms` : ''}`}
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
