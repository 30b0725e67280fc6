import { useEffect, useState } from 'react';
import { Navigate } from 'react-router';
import { openDemo } from './demo.ts';

/** Opens the keeper's cottage: as it was left here, or fresh the first time. */
export default function DemoPage() {
  const [id, setId] = useState<string | null>(null);
  useEffect(() => {
    void openDemo().then(setId);
  }, []);
  return id ? (
    <Navigate to={`/job/${id}/measure`} replace />
  ) : (
    <p className="waiting">Opening the keeper’s cottage …</p>
  );
}
