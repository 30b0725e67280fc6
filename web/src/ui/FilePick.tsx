import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import type { ReactNode } from 'react';

interface FilePickProps {
  readonly children: ReactNode;
  readonly accept: string;
  readonly onFiles: (files: readonly File[]) => void;
  readonly multiple?: boolean;
  /** In a sentence it looks like a link. */
  readonly asLink?: boolean;
  /** Where the words do not say what is opened. */
  readonly label?: string;
}

/** Looks like what else is pressed, and opens files; the same one can be opened again. */
export function FilePick({ children, accept, onFiles, multiple = false, asLink = false, label }: FilePickProps) {
  const content = (
    <>
      {children}
      <input
        type="file"
        className="unseen"
        accept={accept}
        multiple={multiple}
        aria-label={label}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length) onFiles(files);
        }}
      />
    </>
  );
  // what has the focus is the field within
  return asLink ? (
    <Link component="label" className="file-pick">
      {content}
    </Link>
  ) : (
    <Button component="label" role={undefined} tabIndex={-1} variant="outlined" className="file-pick">
      {content}
    </Button>
  );
}
