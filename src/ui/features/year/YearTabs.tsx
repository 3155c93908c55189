import { NavLink } from 'react-router';
import { tabClass } from '../../components/Page.tsx';
import { perLanguage, t } from '../../language/index.ts';

const TABS = perLanguage(
  () =>
    [
      ['/year', t('Comes round')],
      ['/year/through', t('Go through')],
      ['/year/ahead', t('Ahead')],
      ['/year/moving', t('Moving house')],
    ] as const,
);

/** What keeps the room true through the year. */
export function YearTabs() {
  return (
    <nav aria-label={t('The year')} className="flex gap-2">
      {TABS().map(([to, name]) => (
        <NavLink key={to} to={to} end={to === '/year'} className={({ isActive }) => tabClass(isActive)}>
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
