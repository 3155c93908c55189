import type { LotId, PlaceId } from '../../../core/records/index.ts';
import { SpotsPicture, type PlaceMark } from '../../drawing/PlacePicture.tsx';
import { useHousehold } from '../../state/app.ts';
import { ScanSteps } from './ScanSteps.tsx';
import type { Answer } from './useScanning.ts';
import { t } from '../../language/index.ts';

/** The picture beside the list may be so high, px. */
const MOST_PX = 420;

/** The place that the last code was of, or led to. */
function findPlace(answer: Answer | null): PlaceId | null {
  if (answer?.kind === 'done' || answer?.kind === 'full') return answer.placeId;
  return answer?.kind === 'scanned' && answer.scanned.kind === 'look' ? answer.scanned.placeId : null;
}

/** Where the last code leads: the place itself, or where all that is in the hand lives; before the first, how it goes. */
export function Where({ answer, hand }: { answer: Answer | null; hand: readonly LotId[] }) {
  const household = useHousehold();
  const place = findPlace(answer);
  const homes = [...new Set(hand.flatMap((id) => household.lots.get(id)?.homeId ?? []))];
  const marks: PlaceMark[] =
    place === null
      ? homes.map((home) => ({ place: home, mark: 'to', lots: [] }))
      : [{ place, mark: 'from', lots: answer?.kind === 'done' ? answer.lotIds : [] }];
  if (marks.length === 0) return <ScanSteps />;
  return (
    <div className="space-y-4">
      <h2 className="font-display text-lg font-semibold">{place === null ? t('Where it goes back') : t('Here')}</h2>
      <SpotsPicture spots={marks} lots={answer?.kind === 'done' ? answer.lotIds : []} mostPx={MOST_PX} />
    </div>
  );
}
