import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';

interface Props {
  readonly name: string;
  /** Milliseconds in which it can be brought back. */
  readonly forHowLong: number;
  readonly onGone: () => void;
  readonly onBack: () => void;
}

/** A job was deleted, and for a while that can be undone. */
export default function Deleted({ name, forHowLong, onGone, onBack }: Props) {
  return (
    <Snackbar
      open
      message={`${name} was deleted`}
      autoHideDuration={forHowLong}
      onClose={(_, reason) => reason !== 'clickaway' && onGone()}
      action={<Button onClick={onBack}>Bring it back</Button>}
    />
  );
}
