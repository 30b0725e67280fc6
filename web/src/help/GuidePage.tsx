import { useEffect } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { LostPage } from '../app/LostPage.tsx';
import { GUIDES, type Components } from './guides.ts';
import { HelpTop } from './HelpTop.tsx';
import './help.css';

/** A link of a guide: to another guide it stays here; other documents are in the project, not in the application. */
function GuideLink({ href = '', children }: { href?: string; children?: React.ReactNode }) {
  const [params] = useSearchParams();
  const guide = /^([a-z]+)\.md/.exec(href)?.[1];
  return guide && guide in GUIDES ? (
    <Link to={{ pathname: `/help/${guide}`, search: params.toString() }}>{children}</Link>
  ) : (
    <i>{children}</i>
  );
}
const COMPONENTS: Components = { a: GuideLink };

/** A guide of `docs/guide`, as it ships with the application. */
export default function GuidePage() {
  const { guide = '' } = useParams();
  const found = Object.hasOwn(GUIDES, guide) ? GUIDES[guide] : undefined;
  useEffect(() => {
    document.title = [found?.title, 'Guide', 'Kovelin'].filter(Boolean).join(' · ');
  }, [found]);
  if (!found) return <LostPage />;
  return (
    <div className="help-page">
      <HelpTop />
      <main className="help guide">
        <found.Text components={COMPONENTS} />
      </main>
    </div>
  );
}
