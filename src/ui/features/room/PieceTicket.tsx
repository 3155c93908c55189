import { useMemo, useState } from 'react';
import {
  adviseHeight,
  computeSpread,
  findTask,
  normaliseTurn,
  settleUnit,
  type Piece,
} from '../../../core/room/index.ts';
import type { Place, UnitSpec } from '../../../core/records/index.ts';
import { computeFootprint, computeStationPoint } from '../../../core/storage/index.ts';
import { formatSize, formatSizes, parseLengthMm } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { saveFile } from '../../components/saveFile.ts';
import { CheckField, Row, SelectField, TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { wordHeight, wordSpread } from '../../text/room.ts';
import { wordAmountFault, wordUnitKind } from '../../text/index.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { formatShort, t } from '../../language/index.ts';

interface PieceTicketProps {
  readonly room: Place;
  readonly piece: Piece;
  readonly onHold: (unit: UnitSpec) => void;
  readonly onTurn: (deg: number) => void;
}

/** A piece of furniture on the plan: where it stands to the millimetre, turned, locked. */
export function PieceTicket({ room, piece, onHold, onTurn }: PieceTicketProps) {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const show = useApp((state) => state.show);
  const { unit } = piece;
  const task = findTask(room.room!, piece.id);
  const spread = useMemo(
    () => (task === 'cutting' && unit.kind === 'table' ? computeSpread(household, unit) : null),
    [household, unit, task],
  );
  const wall = room.room!.walls.find((one) => one.id === unit.wallId);
  const share = async () => {
    const { toPieceFile } = await import('../../../core/formats/piece.ts');
    const place = tree.places.get(piece.id);
    if (place) saveFile(toPieceFile(tree, place), `${piece.name.toLowerCase()}.piece.json`, 'application/json');
  };
  /** A station goes where its piece goes; a piece let go of leaves it where it is now. */
  const tie = (stationId: string) => {
    const spec = room.room!;
    const stations = spec.stations.map((station) => {
      if (station.id === stationId) return { ...station, unitId: piece.id };
      if (station.unitId !== piece.id) return station;
      return { ...station, unitId: undefined, at: computeStationPoint(spec, station, () => unit) };
    });
    const next = { ...room, room: { ...spec, stations } };
    void edit(household, (from) => createSavePlaces(from, room.name, [next], [], world.nowMs()));
  };
  return (
    <>
      <h2 className="font-display text-[21px] leading-tight font-semibold">{piece.name}</h2>
      <p className="text-stone">{wordUnitKind(unit.kind)}</p>
      <dl className="mt-1">
        <Row name={t('Outside')}>{formatSizes([unit.widthMm, unit.depthMm, unit.heightMm], units)}</Row>
        {task && (
          <Row
            name={{ cutting: t('For cutting'), sewing: t('For sewing'), pressing: t('For pressing') }[task]}
            how={t(
              'Shares of your stature in House: the elbow of one who stands or sits, less what the work takes below it. Usual figures; what does not hurt is right.',
            )}
          >
            {wordHeight(adviseHeight(unit.yMm + unit.heightMm, task, household.settings.statureMm), units)}
          </Row>
        )}
        {spread &&
          wordSpread(spread, units).map(([name, words]) => (
            <Row
              key={name}
              name={name}
              how={t('The widest cloth and the longest thing there are, against the sides of this top.')}
            >
              {words}
            </Row>
          ))}
        <Row name={t('Stands')}>
          {unit.stand ? t('free in the room') : t('at {wall}', { wall: wall?.name ?? t('a wall') })}
        </Row>
      </dl>
      <StandForm room={room} piece={piece} onHold={onHold} />
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Button disabled={unit.isFixed ?? false} onClick={() => onTurn(-90)}>
          {t('Turn left')}
        </Button>
        <Button disabled={unit.isFixed ?? false} onClick={() => onTurn(90)}>
          {t('Turn right')} <kbd className="pl-1 font-normal">R</kbd>
        </Button>
        <Button className="col-span-2" onClick={() => show({ type: 'editUnit', id: piece.id })}>
          {t('Measures and places')}
        </Button>
      </div>
      <Button look="quiet" onClick={() => void share()}>
        {t('Save this piece to a file')}
      </Button>
      <CheckField
        label={t('Stays where it is (L)')}
        checked={unit.isFixed ?? false}
        onChange={(event) => onHold({ ...unit, isFixed: event.target.checked })}
      />
      {room.room!.stations.length > 0 && (
        <SelectField
          label={t('Work that is done here')}
          value={room.room!.stations.find((one) => one.unitId === piece.id)?.id ?? ''}
          onChange={(event) => tie(event.target.value)}
        >
          <option value="">{t('none')}</option>
          {room.room!.stations.map((station) => (
            <option key={station.id} value={station.id}>
              {station.name}
            </option>
          ))}
        </SelectField>
      )}
      {unit.kind === 'table' && (
        <CheckField
          label={t('One walks round it, as for cutting')}
          checked={unit.access === 'around'}
          onChange={(event) => onHold({ ...unit, access: event.target.checked ? 'around' : 'front' })}
        />
      )}
    </>
  );
}

/** Where it stands, typed: of what is free its middle and turn, of what stands at a wall how far along it. */
function StandForm({ room, piece: { unit }, onHold }: Pick<PieceTicketProps, 'room' | 'piece' | 'onHold'>) {
  const { units } = useHousehold().settings;
  const print = computeFootprint(room.room!, unit);
  const [typed, setTyped] = useState<Partial<Record<'x' | 'y' | 'turn', string>>>({});
  const size = (mm: number) => formatSize(mm, units);
  const now = unit.stand
    ? { x: size(print.xMm), y: size(print.yMm), turn: formatShort(normaliseTurn(print.turnDeg), 1) }
    : { x: size(unit.xMm), y: '', turn: '' };
  const read = (name: 'x' | 'y', exact: number) => {
    const text = typed[name];
    // What still says what it said keeps its exact measure.
    if (text === undefined || text === now[name]) return { mm: exact, fault: undefined };
    const parsed = parseLengthMm(text, units === 'metric' ? 'cm' : 'in');
    return parsed.ok
      ? { mm: parsed.value, fault: undefined }
      : { mm: exact, fault: wordAmountFault(parsed.fault, units === 'metric' ? t('120 cm') : t('48 in')) };
  };
  const x = read('x', unit.stand ? print.xMm : unit.xMm);
  const y = read('y', print.yMm);
  const turn = typed.turn === undefined ? print.turnDeg : Number(typed.turn.replace(',', '.'));
  const turnFault = Number.isFinite(turn) && typed.turn?.trim() !== '' ? undefined : t('Degrees, such as 30.');
  const field = (name: 'x' | 'y' | 'turn', label: string, fault?: string) => (
    <TextField
      label={label}
      fault={fault}
      value={typed[name] ?? now[name]}
      onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
    />
  );
  const put = () => {
    if (x.fault ?? y.fault ?? turnFault) return;
    setTyped({});
    onHold(
      unit.stand
        ? settleUnit(room.room!, unit, { xMm: x.mm, yMm: y.mm, turnDeg: turn }, [], 0)
        : { ...unit, xMm: Math.max(0, x.mm) },
    );
  };
  return (
    <Form className={`mt-2 grid items-start gap-2 ${unit.stand ? 'grid-cols-3' : 'grid-cols-2'}`} onSend={put}>
      {field('x', unit.stand ? t('Middle, right') : t('From the left'), x.fault)}
      {unit.stand ? field('y', t('Middle, down'), y.fault) : null}
      {unit.stand ? field('turn', t('Turned, °'), turnFault) : null}
      <Button type="submit" className={unit.stand ? 'col-span-3' : 'mt-5'} disabled={unit.isFixed ?? false}>
        {t('Put it there')}
      </Button>
    </Form>
  );
}
