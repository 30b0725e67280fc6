import { good } from '@kovelin/core/units/problem.ts';
import type { Reading } from '@kovelin/core/units/reading.ts';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import LinearProgress from '@mui/material/LinearProgress';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import Slider from '@mui/material/Slider';
import CalendarMonth from '@mui/icons-material/CalendarMonth';
import { useState } from 'react';
import { Check } from './Check.tsx';
import { Choice } from './Choice.tsx';
import { ColourWell } from './ColourWell.tsx';
import { Cell, DataTable, Row, RowHead } from './DataTable.tsx';
import { DayField } from './DayField.tsx';
import { DraftField } from './DraftField.tsx';
import { FilePick } from './FilePick.tsx';
import { LengthField } from './LengthField.tsx';
import { Message } from './Message.tsx';
import { More } from './More.tsx';
import { Radios } from './Radios.tsx';
import { readCount } from './read.ts';
import { SCHEME_WORDS, useScheme } from './scheme.ts';
import { Line, Section } from './Section.tsx';
import { Sides } from './Sides.tsx';
import { TextButton } from './TextButton.tsx';
import { TextInput } from './TextInput.tsx';
import { Toast } from './Toast.tsx';
import { Toggle } from './Toggle.tsx';
import { Window } from './Window.tsx';

const ROOMS = ['Parlour', 'Loft bedroom', 'Washroom', 'Passage', 'Kitchen', 'Pantry', 'Cellar', 'Porch', 'Attic'];
const WALL: Reading = { typed: `12'6 1/2`, metres: 3.8227 };

/** Every part of the kit in each of its states: looked at by whoever changes one, and by the tests. It is linked from nowhere. */
export default function KitPage() {
  const { next, toNext } = useScheme();
  const [side, setSide] = useState<'one' | 'two'>('one');
  const [isOn, setOn] = useState(true);
  const [room, setRoom] = useState('Parlour');
  const [text, setText] = useState('');
  const [colour, setColour] = useState('#8a8c8e');
  const [days, setDays] = useState<readonly string[]>(['2026-12-05']);
  const [opened, setOpened] = useState<'window' | 'toast' | null>(null);
  const close = () => setOpened(null);
  const nothing = (): null => null;
  return (
    <main className="jobs-page kit-page">
      <h1>The kit</h1>
      <h2>Every part, in each of its states</h2>
      <div className="row-buttons">
        <Button onClick={toNext}>{SCHEME_WORDS[next]}</Button>
      </div>
      <Section title="Pressed">
        <div className="row-buttons">
          <Button variant="contained">The thing to do</Button>
          <Button variant="contained" disabled>
            Not yet
          </Button>
          <Button variant="outlined">Another</Button>
          <Button variant="outlined" color="error">
            Takes away
          </Button>
          <Button>Close</Button>
          <Button size="small">Small</Button>
          <Button size="large" variant="contained">
            In gloves
          </Button>
          <IconButton aria-label="From a calendar">
            <CalendarMonth fontSize="small" />
          </IconButton>
          <TextButton>in a sentence</TextButton>
          <FilePick accept=".csv" onFiles={nothing}>
            A file
          </FilePick>
        </div>
        <div className="row-buttons">
          <Sides
            label="Sides"
            sides={[
              ['one', 'One side'],
              ['two', 'The other'],
            ]}
            value={side}
            onChange={setSide}
          />
          <Toggle pressed={isOn} onChange={setOn}>
            Stays in
          </Toggle>
        </div>
        <List component="div" role="group" aria-label="From below">
          <ListItemButton component="button" selected>
            Chosen
          </ListItemButton>
          <ListItemButton component="button">Not chosen</ListItemButton>
        </List>
      </Section>
      <Section title="Written and chosen">
        <LengthField label="A length" value={WALL} system="imperial" onCommit={nothing} />
        <LengthField
          label="A length with a problem"
          value={WALL}
          system="imperial"
          problem="Wall A is longer than the room."
          onCommit={nothing}
        />
        <DraftField label="A count" value="2" parse={readCount(6)} onCommit={nothing} />
        <DraftField label="Empty" value="" placeholder="none" parse={good} onCommit={nothing} />
        <DraftField label="Several lines" value="A note" lines={3} parse={good} onCommit={nothing} />
        <TextInput label="Look for" type="search" value={text} placeholder="a word" onChange={setText} />
        <DayField label="Days" form="day-first" days={days} onCommit={(picked) => (setDays(picked), null)} />
        <Choice
          label="Few"
          value={side}
          options={[
            ['one', 'One'],
            ['two', 'Two'],
          ]}
          onChange={setSide}
        />
        <Choice label="Many" value={room} options={ROOMS.map((name) => [name, name])} onChange={setRoom} />
        <Choice label="Not now" value="one" options={[['one', 'One']]} disabled onChange={nothing} />
        <ColourWell label="A colour" value={colour} onChange={setColour} />
        <Check label="It is so" checked={isOn} onChange={setOn} />
        <Check label="It cannot be" checked={false} disabled onChange={nothing} />
        <Radios
          label="One of a few"
          value={side}
          options={[
            ['one', 'Net', '92 ft²'],
            ['two', 'Gross', '107 ft²'],
          ]}
          onChange={setSide}
        />
        <Slider aria-label="Hour of the day" min={0} max={24} defaultValue={9} />
      </Section>
      <Section title="Said">
        <Message kind="wrong">The walls are 2 in apart; 1/2 in is accepted.</Message>
        <Message kind="caution">The old paint may have lead in it.</Message>
        <Message kind="note">Wall B is taped from the casing.</Message>
        <Message kind="done">Saved.</Message>
        <LinearProgress aria-label="Reading" variant="determinate" value={40} />
        <More title="What few need">It stands here.</More>
        <Line label="Gross">124 ft²</Line>
        <div className="row-buttons">
          <Button variant="outlined" onClick={() => setOpened('window')}>
            A window
          </Button>
          <Button variant="outlined" onClick={() => setOpened('toast')}>
            A toast
          </Button>
        </div>
      </Section>
      <Section title="A table">
        <DataTable label="Walls" columns={['Wall', 'Length', 'Area']}>
          {ROOMS.slice(0, 3).map((name, i) => (
            <Row key={name} selected={i === 1}>
              <RowHead>{name}</RowHead>
              <Cell label="Length">12′ 6″</Cell>
              <Cell label="Area" className="number">
                92 ft²
              </Cell>
            </Row>
          ))}
        </DataTable>
      </Section>
      {opened === 'window' && (
        <Window title="A window" onClose={close}>
          What there is to do.
        </Window>
      )}
      {opened === 'toast' && <Toast message="It was deleted" actions={[['Restore', close]]} onGone={close} />}
    </main>
  );
}
