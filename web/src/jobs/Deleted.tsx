import { Toast } from '../ui/Toast.tsx';

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
    <Toast message={`${name} was deleted`} forHowLong={forHowLong} onGone={onGone} actions={[['Restore', onBack]]} />
  );
}
