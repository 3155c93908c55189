import { Page } from '../../components/Page.tsx';
import { listMovingBoxes } from '../../../core/packup/index.ts';
import { useHousehold } from '../../state/app.ts';
import { BoxesPacked } from './BoxesPacked.tsx';
import { PackPlanner } from './PackPlanner.tsx';
import { YearTabs } from './YearTabs.tsx';
import { t } from '../../language/index.ts';

/** Moving house: boxes are planned, packed, found while they are under way, and unpacked. */
export function PackPage() {
  const household = useHousehold();
  const boxes = listMovingBoxes(household);
  return (
    <Page title={t('The year')} tabs={<YearTabs />}>
      <div className="min-h-0 flex-1 overflow-y-auto px-4 py-3 md:px-5">
        {boxes.length > 0 ? <BoxesPacked boxes={boxes} /> : <PackPlanner />}
      </div>
    </Page>
  );
}
