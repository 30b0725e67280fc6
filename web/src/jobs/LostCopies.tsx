import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { attempt } from '../app/database.ts';
import { putIn } from '../app/inbox.ts';
import { db } from '../store/db.ts';
import { forgetCopy, lostCopies } from '../store/safe-copy.ts';

/** What a browser threw away is offered again from the copy that was made of it outside its database. */
export default function LostCopies() {
  const navigate = useNavigate();
  const [files, setFiles] = useState<readonly File[]>([]);
  useEffect(() => {
    void attempt('Copies of what was kept could not be looked for', () => lostCopies(db)).then(
      (found) => found && setFiles(found),
    );
  }, []);
  const forget = (file: File): void => {
    void attempt('The copy was not thrown away', () => forgetCopy(file.name));
    setFiles(files.filter((one) => one !== file));
  };
  return files.map((file) => {
    const made = new Date(file.lastModified).toLocaleString();
    return (
      <Alert
        key={file.name}
        severity="warning"
        variant="outlined"
        sx={{ mb: 3, color: 'var(--ink)', bgcolor: 'var(--card)', borderColor: 'var(--ochre)' }}
      >
        This browser threw away what Kovelin had kept in it. A copy of {made} is left: all jobs and logs, without
        photos.
        <Stack direction="row" sx={{ flexWrap: 'wrap', gap: 1, mt: 1 }}>
          <Button
            variant="contained"
            onClick={() => {
              putIn(new File([file], `The copy of ${made}`), true);
              void navigate('/bring-in');
            }}
          >
            Look into it
          </Button>
          <Button variant="outlined" onClick={() => forget(file)}>
            Throw it away
          </Button>
        </Stack>
      </Alert>
    );
  });
}
