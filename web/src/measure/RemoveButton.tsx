/** Removing needs no question: undo brings it back. */
export function RemoveButton({ what, onRemove }: { what: string; onRemove: () => void }) {
  return (
    <button type="button" className="tool" aria-label={`Remove ${what}`} onClick={onRemove}>
      Remove
    </button>
  );
}
