import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListSubheader from '@mui/material/ListSubheader';
import { Fragment, useId, useState } from 'react';
import type { ChoiceProps } from './choice-props.ts';
import { Field } from './Field.tsx';

/** A long choice on a phone: a list from below, under its heading. */
export default function ChoiceBelow(props: ChoiceProps<string>) {
  const { label, value, options, groups = [[label, options]], onChange, hideLabel, className, disabled } = props;
  const id = useId();
  const [open, setOpen] = useState(false);
  const chosen = options.find(([key]) => key === value)?.[1] ?? '';
  return (
    <Field id={id} label={hideLabel ? null : label} className={className}>
      <Button
        id={id}
        variant="outlined"
        disabled={disabled}
        aria-haspopup="dialog"
        aria-label={`${label}: ${chosen}`}
        onClick={() => setOpen(true)}
      >
        {chosen}
      </Button>
      <Drawer anchor="bottom" open={open} onClose={() => setOpen(false)} slotProps={{ paper: { 'aria-label': label } }}>
        <List component="div" role="listbox" aria-label={label}>
          {groups.map(([heading, of]) => (
            <Fragment key={heading}>
              <ListSubheader component="div" role="presentation">
                {heading}
              </ListSubheader>
              {of.map(([key, words]) => (
                <ListItemButton
                  key={key}
                  component="button"
                  role="option"
                  selected={key === value}
                  aria-selected={key === value}
                  onClick={() => {
                    onChange(key);
                    setOpen(false);
                  }}
                >
                  {words}
                </ListItemButton>
              ))}
            </Fragment>
          ))}
        </List>
      </Drawer>
    </Field>
  );
}
