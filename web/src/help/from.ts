import { useSearchParams } from 'react-router';

/** The page of a job that help was asked on; null: none, or no page of a job. */
export function useFrom(): string | null {
  const [params] = useSearchParams();
  const from = params.get('from');
  return from?.startsWith('/job/') ? from : null;
}
