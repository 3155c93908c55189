import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { linkClass } from '../../components/Button.tsx';
import { Page } from '../../components/Page.tsx';
import { GUIDE } from '../../text/guide.ts';
import { loadPage, type PageOfGuide } from './pages.ts';
import { t } from '../../language/index.ts';

/** How things are done, one page a task with its picture; it needs no network. */
export function GuidePage() {
  const { slug } = useParams();
  const chosen = GUIDE().findIndex((one) => one.slug === slug);
  // Where there is room for both, the first page lies open beside the list.
  const at = Math.max(0, chosen);
  const [entry, next] = [GUIDE()[at]!, GUIDE()[at + 1]];
  return (
    <Page title={t('How it is done')}>
      <div className="min-h-0 flex-1 gap-8 px-4 py-4 md:grid md:grid-cols-[15rem_minmax(0,1fr)] md:overflow-y-auto md:px-8">
        <nav aria-label={t('Pages of the guide')} className={`no-print ${chosen >= 0 ? 'max-md:hidden' : ''}`}>
          <ul>
            {GUIDE().map(({ slug: one, task }) => (
              <li key={one} className="dotted-row">
                <Link
                  to={`/guide/${one}`}
                  aria-current={one === entry.slug ? 'page' : undefined}
                  className="block py-1.5 hover:bg-linen aria-[current=page]:font-semibold max-md:py-3"
                >
                  {task}
                </Link>
              </li>
            ))}
          </ul>
        </nav>
        <article key={entry.slug} className={`max-w-5xl ${chosen < 0 ? 'max-md:hidden' : ''}`}>
          <Text slug={entry.slug} />
          <p className="no-print stitched-t mt-6 flex flex-wrap gap-x-6 gap-y-2 pt-3">
            <Link className={linkClass} to={entry.to}>
              {t('Go there')}
            </Link>
            {next && (
              <Link className={linkClass} to={`/guide/${next.slug}`}>
                {t('Next: {task}', { task: next.task })}
              </Link>
            )}
            <Link className={`${linkClass} md:hidden`} to="/guide">
              {t('All pages')}
            </Link>
            <Link className={linkClass} to="/ways">
              {t('Where do I…')}
            </Link>
          </p>
        </article>
      </div>
    </Page>
  );
}

const TEXT =
  '[&_code]:rounded [&_code]:bg-linen [&_code]:px-1 [&_li]:mt-2 [&_ol]:list-decimal [&_ol]:pl-6 [&_p]:mt-3 [&_p:first-child]:mt-0 [&_ol:first-child>li:first-child]:mt-0';

function Text({ slug }: { slug: string }) {
  const [page, setPage] = useState<PageOfGuide | null>(null);
  useEffect(() => {
    let isWanted = true;
    void loadPage(slug).then((loaded) => {
      if (isWanted) setPage(loaded);
    });
    return () => {
      isWanted = false;
    };
  }, [slug]);
  if (!page) return null;
  return (
    <>
      <h2 className="font-display text-2xl font-semibold">{page.title}</h2>
      <div className="mt-4 grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
        {/* From this program's own files, made by its build. */}
        <div className={TEXT} dangerouslySetInnerHTML={{ __html: page.html }} />
        <a href={page.picture} className="border border-thread">
          <img src={page.picture} alt={page.alt} className="w-full" />
        </a>
      </div>
    </>
  );
}
