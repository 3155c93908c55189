import { useRef, useState } from 'react';
import type { Place } from '../../../core/records/index.ts';
import { findFreeX, listWalls } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { wordRecordFaults } from '../../text/recordFaults.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { FileInput } from '../../components/FileInput.tsx';
import { t } from '../../language/index.ts';

const MOST_BYTES = 2_000_000;

/** Brings in a piece of furniture that somebody shared: to the first wall with room for it, else to the longest. */
export function PieceFromFile({ room }: { room: Place }) {
  const household = useHousehold();
  const input = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const read = async (file: File) => {
    setFaults([]);
    if (file.size > MOST_BYTES) {
      setFaults([t('The file is far too large for a piece of furniture.')]);
      return;
    }
    const { fromPieceFile } = await import('../../../core/formats/piece.ts');
    const tree = getTree(household);
    const standing = tree.getChildren(room.id);
    const spot = { roomId: room.id, wallId: room.room!.walls[0]!.id, xMm: 0, order: standing.length };
    const result = fromPieceFile(await file.text(), spot, world.createId);
    if (!result.ok) {
      setFaults([wordRecordFaults(result.fault.slice(0, 5), household.settings.units)]);
      return;
    }
    const [first, ...rest] = result.value;
    const unit = first!.unit!;
    const walls = listWalls(room.room!).toSorted((a, b) => b.lengthMm - a.lengthMm);
    const free = walls.flatMap((wall) => {
      const beside = standing.flatMap((one) => (one.unit?.wallId === wall.id ? [one.unit] : []));
      const xMm = findFreeX(beside, unit, wall.lengthMm);
      return xMm === null ? [] : [{ wallId: wall.id, xMm }];
    });
    const at = free[0] ?? { wallId: walls[0]!.id, xMm: 0 };
    const placed = { ...first!, unit: { ...unit, ...at } };
    await act((now) => createSavePlaces(now, placed.name, [placed, ...rest], [], world.nowMs()));
  };
  return (
    <div>
      <FileInput
        ref={input}
        label={t('Piece file')}
        accept=".json,application/json"
        onFiles={([file]) => void read(file!)}
      />
      <Button look="quiet" onClick={() => input.current?.click()}>
        {t('Add a piece from a file')}
      </Button>
      {faults.length > 0 && (
        <ul role="alert" className="text-sm text-madder">
          {faults.map((fault) => (
            <li key={fault}>{fault}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
