import { dayText, readDayText, type DateForm } from '@kovelin/core/units/day-text.ts';
import { good, type Result } from '@kovelin/core/units/problem.ts';
import { useRef } from 'react';
import { DraftField } from './DraftField.tsx';

interface DaysProps {
  readonly label: string;
  readonly form: DateForm;
  readonly days: readonly string[];
  readonly placeholder?: string;
  /** One day alone, which takes the place of the one before. */
  readonly single?: boolean;
  readonly onCommit: (days: readonly string[]) => string | null | undefined;
}

/** Days typed as the region writes them, with commas between, or picked from a calendar. */
export function DaysField({ label, form, days, placeholder, single = false, onCommit }: DaysProps) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <span className="day-field">
      <DraftField
        label={label}
        value={days.map((day) => dayText(day, form)).join(', ')}
        placeholder={placeholder ?? dayText('2026-12-25', form)}
        parse={(text) => readDays(text, form, single)}
        onCommit={(next) => onCommit(next) ?? null}
      />
      <button
        type="button"
        className="tool"
        aria-label={`${label}: from a calendar`}
        onClick={() => picker.current?.showPicker()}
      >
        <CalendarMark />
      </button>
      <input
        ref={picker}
        type="date"
        className="picker"
        tabIndex={-1}
        aria-hidden="true"
        value={single ? (days[0] ?? '') : ''}
        onChange={(event) => {
          const day = event.target.value;
          if (day) onCommit(single ? [day] : [...new Set([...days, day])].sort());
        }}
      />
    </span>
  );
}

function readDays(text: string, form: DateForm, single: boolean): Result<readonly string[]> {
  const days: string[] = [];
  for (const part of single ? [text] : text.split(/[,;]/)) {
    if (!part.trim()) continue;
    const day = readDayText(part, form);
    if (!day.ok) return day;
    days.push(day.value);
  }
  return good([...new Set(days)].sort());
}

/** A leaf of a tear-off calendar. */
const CalendarMark = () => (
  <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
    <path d="M2.5 4.5h13v11h-13zM2.5 8h13M6 2v4M12 2v4" fill="none" stroke="currentColor" strokeWidth="1.5" />
    <path d="M9 10.5v3M7.5 13.5h3" stroke="currentColor" strokeWidth="1.3" />
  </svg>
);
