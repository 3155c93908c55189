import { useMemo, useState } from 'react';
import { computeFindings, type Piece } from '../../../core/room/index.ts';
import type { Place } from '../../../core/records/index.ts';
import { Page } from '../../components/Page.tsx';
import { PlanView } from '../../drawing/PlanView.tsx';
import { useHousehold } from '../../state/app.ts';
import { ArrangePanel } from './ArrangePanel.tsx';
import { RoomTabs } from './RoomTabs.tsx';
import { useArrange } from './useArrange.ts';
import { t } from '../../language/index.ts';

interface ArrangeScreenProps {
  readonly room: Place;
  readonly pieces: readonly Piece[];
  readonly onDone: () => void;
}

/** The room as it stands and, beside it, as it could stand. */
export function ArrangeScreen({ room, pieces, onDone }: ArrangeScreenProps) {
  const arrange = useArrange(room, pieces);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const chosen = arrange.choices.find((one) => one.id === chosenId) ?? null;
  return (
    <Page
      title={room.name}
      tabs={<RoomTabs roomId={room.id} here={room.id} />}
      asideLabel={t('Arrange')}
      aside={
        <ArrangePanel
          pieces={pieces}
          arrange={arrange}
          chosenId={chosen?.id ?? null}
          onChoose={setChosenId}
          onDone={onDone}
        />
      }
    >
      <div className="flex min-h-0 flex-1 flex-col md:flex-row">
        <Picture room={room} pieces={pieces} name={t('As it stands')} />
        {chosen && <Picture room={room} pieces={chosen.pieces} name={chosen.name} />}
      </div>
    </Page>
  );
}

function Picture({ room, pieces, name }: { room: Place; pieces: readonly Piece[]; name: string }) {
  const { settings } = useHousehold();
  const findings = useMemo(() => computeFindings(room.room!, pieces, settings), [room, pieces, settings]);
  const faults = findings.filter((one) => one.isFault).length;
  return (
    <section aria-label={name} className="stitched-b flex min-h-0 min-w-0 flex-1 flex-col md:border-b-0">
      <h2 className="px-4 pt-2 font-display text-lg font-semibold">{name}</h2>
      <PlanView
        room={room.room!}
        pieces={pieces}
        findings={findings}
        chosen={null}
        shown={null}
        units={settings.units}
        label={t(
          '{name}: {pieces, plural, one {# piece} other {# pieces}}, {faults, plural, one {# fault} other {# faults}}',
          { name, pieces: pieces.length, faults },
        )}
      />
    </section>
  );
}
