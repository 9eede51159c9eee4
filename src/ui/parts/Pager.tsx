import * as texts from '#language/screens/controls';
/** Links to the page before and after; nothing when there is one page only. */
export function Pager({ page, pages, href }: { page: number; pages: number; href: (page: number) => string }) {
  if (pages < 2) return null;
  const link = 'quiet grid place-items-center';
  return (
    <nav aria-label={texts.pages} className="mt-4 flex items-center gap-3">
      {page > 1 && (
        <a className={link} href={href(page - 1)} rel="prev">
          {texts.before}
        </a>
      )}
      <span className="figures">
        {page} / {pages}
      </span>
      {page < pages && (
        <a className={link} href={href(page + 1)} rel="next">
          {texts.after}
        </a>
      )}
    </nav>
  );
}
