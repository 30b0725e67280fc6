import Button from '@mui/material/Button';
/** Removing needs no question: undo brings it back. */
export function RemoveButton({ what, onRemove }: { what: string; onRemove: () => void }) {
  return (
    <Button size="small" aria-label={`Remove ${what}`} onClick={onRemove}>
      Remove
    </Button>
  );
}

interface MoreProps {
  readonly what: string;
  /** Something stands there already. */
  readonly some: boolean;
  readonly open: boolean;
  readonly onToggle: () => void;
}
/** Opens what few rows need. */
export function MoreButton({ what, some, open, onToggle }: MoreProps) {
  return (
    <Button size="small" aria-expanded={open} aria-label={`More of ${what}`} onClick={onToggle}>
      {open ? 'Less' : some ? 'More …' : 'More'}
    </Button>
  );
}
