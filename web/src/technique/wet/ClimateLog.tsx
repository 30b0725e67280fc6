import type { Air, AirReading } from '@kovelin/core/job/region.ts';
import type { ClimateLog as Log } from '@kovelin/core/exchange/climate-log.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { formatTemperature } from '@kovelin/core/units/temperature.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { useState } from 'react';
import { ReadingBar } from '../../ui/ReadingBar.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { useReading } from '../../workers/files.ts';
import { FilePick } from '../../ui/FilePick.tsx';
import { Message } from '../../ui/Message.tsx';

interface ClimateLogProps {
  readonly air: Air;
  readonly system: System;
  readonly onDay: (day: readonly AirReading[]) => void;
}

/** The air through a day, from the file of a logger or from the simulated one; what was found odd in it is said. */
export function ClimateLog({ air, system, onDay }: ClimateLogProps) {
  const reading = useReading();
  const [notes, setNotes] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState('');
  const take = async (name: string, text: string) => {
    setProblem('');
    setNotes([]);
    const read = await reading.read(name, (api) => api.climate(text), setProblem);
    if (!read) return;
    if (!read.ok) return setProblem(read.problems[0]?.message ?? '');
    const log: Log = read.value;
    onDay(log.day);
    setNotes(log.notes);
  };
  const ask = async () => {
    try {
      const response = await fetch('/instruments/climate/today.csv');
      if (response.ok) await take('The simulated logger', await response.text());
      else setProblem('The climate logger did not answer; ask it again.');
    } catch {
      setProblem('The climate logger cannot be reached; type the air meanwhile.');
    }
  };
  const temperatures = air.day.map((r) => r.temperature);
  const [first, last] = [air.day[0], air.day.at(-1)];
  return (
    <div className="climate-log">
      {first && last ? (
        <p className="hint">
          A day of {air.day.length} readings, {clockTime(first.at)} to {clockTime(last.at)}:{' '}
          {formatTemperature(Math.min(...temperatures), system)} to{' '}
          {formatTemperature(Math.max(...temperatures), system)}.{' '}
          <TextButton onClick={() => onDay([])}>Take it out</TextButton>
        </p>
      ) : (
        <p className="hint">The same all day; a climate log says how it goes.</p>
      )}
      <div className="row-buttons">
        <FilePick
          accept=".csv,.txt"
          label="Climate log"
          onFiles={([file]) => void file?.text().then((text) => take(file.name, text))}
        >
          Read a log
        </FilePick>
        <TextButton onClick={() => void ask()}>Ask the simulated logger</TextButton>
      </div>
      <ReadingBar reading={reading} />
      {problem && <Message kind="wrong">{problem}</Message>}
      {notes.map((note) => (
        <p key={note} className="hint">
          {note}
        </p>
      ))}
    </div>
  );
}
