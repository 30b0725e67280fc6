import { dayAt } from '@kovelin/core/units/day.ts';
import { dayText, type DateForm } from '@kovelin/core/units/day-text.ts';

const clock = new Intl.DateTimeFormat('en-GB', { timeStyle: 'short' });

/** A moment by the clock of this device, its day as the job's region writes it. */
export const momentText = (at: number, form: DateForm): string => `${dayText(dayAt(at), form)}, ${clock.format(at)}`;
