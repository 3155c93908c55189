import { listCutLines, type Region, type ScrapPlan } from '../../../core/scraps/index.ts';
import { formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { savePdf } from '../../components/savePdf.ts';
import { t } from '../../language/index.ts';

interface OnPaperProps {
  readonly plan: ScrapPlan;
  readonly region: Region;
  readonly name: string;
  readonly units: UnitSystem;
}

/** The cuts by their measures, and at full size on pages to lay on the cloth. */
export function OnPaper({ plan, region, name, units }: OnPaperProps) {
  const save = async () => {
    const { createCutTiles } = await import('../../../core/formats/sheet/index.ts');
    const pages = createCutTiles(plan, region, t('Cuts of {name}', { name }), units);
    await savePdf(pages, t('Cuts of {name}', { name }), 'cuts-full-size.pdf');
  };
  return (
    <details className="mt-1">
      <summary className="min-h-9 cursor-pointer py-1 font-semibold text-woad">{t('By measure, and on paper')}</summary>
      <ol
        aria-label={t('Cuts from edge to edge')}
        className="list-decimal pl-6"
        {...explained(
          plan.direction === 'along'
            ? t('Measured from the left edge of the box round the scrap, its grain upright.')
            : t('Measured from the upper edge of the box round the scrap, its grain upright.'),
        )}
      >
        {listCutLines(plan).map((mm) => (
          <li key={mm}>
            {plan.direction === 'along'
              ? t('at {size} from the left', { size: formatSize(mm, units) })
              : t('at {size} from the top', { size: formatSize(mm, units) })}
          </li>
        ))}
      </ol>
      <Button look="quiet" onClick={() => void save()}>
        {t('Full size as PDF')}
      </Button>
      <p className="text-sm text-stone">{t('Print it at 100 %, and measure the square on its last page.')}</p>
    </details>
  );
}
