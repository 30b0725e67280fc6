import { dayText, readDayText, type DateForm } from '@kovelin/core/units/day-text.ts';
import { dayAt } from '@kovelin/core/units/day.ts';
import { good, type Result } from '@kovelin/core/units/problem.ts';
import CalendarMonth from '@mui/icons-material/CalendarMonth';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { lazy, Suspense, useState } from 'react';
import { DraftField } from './DraftField.tsx';

const Calendar = lazy(() => import('./Calendar.tsx'));

interface DayFieldProps {
  readonly id?: string;
  readonly label: string;
  readonly form: DateForm;
  readonly days: readonly string[];
  readonly placeholder?: string;
  /** One day alone, which takes the place of the one before. */
  readonly single?: boolean;
  readonly onCommit: (days: readonly string[]) => string | null | undefined;
}

/** Days typed as the region writes them or by name (Sat, tomorrow), with commas between, or picked from a calendar. */
export function DayField({ id, label, form, days, placeholder, single = false, onCommit }: DayFieldProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const from = `${label}: from a calendar`;
  return (
    <Box component="span" sx={{ display: 'grid', gridTemplateColumns: '1fr auto', alignItems: 'end', gap: '4px' }}>
      <DraftField
        {...(id === undefined ? {} : { id })}
        label={label}
        value={days.map((day) => dayText(day, form)).join(', ')}
        placeholder={placeholder ?? dayText('2026-12-25', form)}
        parse={(text) => readDays(text, form, single)}
        onCommit={(next) => onCommit(next) ?? null}
      />
      <IconButton aria-label={from} aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)}>
        <CalendarMonth fontSize="small" />
      </IconButton>
      {anchor && (
        <Suspense fallback={null}>
          <Calendar
            label={from}
            anchor={anchor}
            day={single ? (days[0] ?? null) : null}
            onPick={(day) => onCommit(single ? [day] : [...new Set([...days, day])].sort())}
            onClose={() => setAnchor(null)}
          />
        </Suspense>
      )}
    </Box>
  );
}

function readDays(text: string, form: DateForm, single: boolean): Result<readonly string[]> {
  const days: string[] = [];
  for (const part of single ? [text] : text.split(/[,;]/)) {
    if (!part.trim()) continue;
    const day = readDayText(part, form, dayAt(Date.now()));
    if (!day.ok) return day;
    days.push(day.value);
  }
  return good([...new Set(days)].sort());
}
