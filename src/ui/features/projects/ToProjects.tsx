import { Link } from 'react-router';
import { linkClass } from '../../components/Button.tsx';
import { Page } from '../../components/Page.tsx';
import { t } from '../../language/index.ts';

/** The way back from all that belongs to projects. */
export function ToProjects() {
  return (
    <Link className={linkClass} to="/projects">
      {t('All projects')}
    </Link>
  );
}

/** In the place of a page of a project that is not there. */
export function NoSuchProject() {
  return (
    <Page title={t('Projects')}>
      <p className="p-5">
        {t('This project is no longer there.')} <ToProjects />
      </p>
    </Page>
  );
}
