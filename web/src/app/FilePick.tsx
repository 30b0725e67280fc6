import type { ReactNode } from 'react';

interface Props {
  readonly children: ReactNode;
  readonly accept: string;
  readonly onFiles: (files: readonly File[]) => void;
  readonly multiple?: boolean;
  readonly className?: string;
}

/** Looks like what else is pressed, and opens files; the same one can be opened again. */
export function FilePick({ children, accept, onFiles, multiple = false, className = 'act small' }: Props) {
  return (
    <label className={`${className} file-pick`}>
      {children}
      <input
        type="file"
        className="unseen"
        accept={accept}
        multiple={multiple}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length) onFiles(files);
        }}
      />
    </label>
  );
}
