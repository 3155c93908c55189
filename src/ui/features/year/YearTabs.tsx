import { NavLink } from 'react-router';
import { tabClass } from '../../components/Page.tsx';

const TABS = [
  ['/year', 'Comes round'],
  ['/year/through', 'Go through'],
  ['/year/ahead', 'Ahead'],
  ['/year/moving', 'Moving house'],
] as const;

/** What keeps the room true through the year. */
export function YearTabs() {
  return (
    <nav aria-label="The year" className="flex gap-2">
      {TABS.map(([to, name]) => (
        <NavLink key={to} to={to} end={to === '/year'} className={({ isActive }) => tabClass(isActive)}>
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
