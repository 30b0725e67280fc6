import { lazy, useEffect, useState } from 'react';
import { Navigate } from 'react-router';
import { openDemo } from './demo.ts';

const NotOpened = lazy(() => import('../app/NotOpened.tsx'));

/** Opens the keeper's cottage: as it was left here, or fresh the first time. */
export default function DemoPage() {
  const [id, setId] = useState<string | null>(null);
  const [error, setError] = useState<unknown>(null);
  useEffect(() => {
    openDemo().then(setId, setError);
  }, []);
  if (error !== null) return <NotOpened error={error} />;
  return id ? (
    <Navigate to={`/job/${id}/measure`} replace />
  ) : (
    <p className="waiting">Opening the keeper’s cottage …</p>
  );
}
