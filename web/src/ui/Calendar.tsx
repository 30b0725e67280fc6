import Popover from '@mui/material/Popover';
import { AdapterLuxon } from '@mui/x-date-pickers/AdapterLuxon';
import { DateCalendar } from '@mui/x-date-pickers/DateCalendar';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { DateTime } from 'luxon';

/** A leaf of a wall calendar: square, the chosen day on tape. */
const LEAF = {
  '& [role=gridcell]': { borderRadius: 0, fontSize: 16 },
  '& [role=gridcell][aria-selected=true]': { background: 'var(--tape)', color: 'var(--on-tape)' },
};

interface CalendarProps {
  readonly label: string;
  readonly anchor: HTMLElement;
  /** ISO; null: none yet. */
  readonly day: string | null;
  readonly onPick: (day: string) => void;
  readonly onClose: () => void;
}

/** A month to pick a day from; its file comes when it is opened. */
export default function Calendar({ label, anchor, day, onPick, onClose }: CalendarProps) {
  return (
    <Popover open anchorEl={anchor} onClose={onClose} slotProps={{ paper: { role: 'dialog', 'aria-label': label } }}>
      <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale={navigator.language}>
        <DateCalendar
          autoFocus
          sx={LEAF}
          value={day === null ? null : DateTime.fromISO(day)}
          onChange={(picked: DateTime | null, state) => {
            const iso = picked?.toISODate();
            // a month or a year that is turned to is not a day yet
            if (!iso || state !== 'finish') return;
            onPick(iso);
            onClose();
          }}
        />
      </LocalizationProvider>
    </Popover>
  );
}
