import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';

export interface Action {
  readonly word: string;
  readonly act: () => void;
  readonly disabled?: boolean;
}
interface Props {
  readonly anchor: HTMLElement;
  readonly actions: readonly Action[];
  /** It is gone, and what was chosen is done. */
  readonly onClose: () => void;
}

/** A few things to do with one thing. What is chosen is done when the menu is gone, so that it may take the focus. */
export function ActionMenu({ anchor, actions, onClose }: Props) {
  const [open, setOpen] = useState(true);
  const [chosen, setChosen] = useState<Action | null>(null);
  const gone = () => {
    onClose();
    chosen?.act();
  };
  return (
    <Menu anchorEl={anchor} open={open} onClose={() => setOpen(false)} slotProps={{ transition: { onExited: gone } }}>
      {actions.map((action) => (
        <MenuItem
          key={action.word}
          disabled={action.disabled ?? false}
          onClick={() => {
            setChosen(action);
            setOpen(false);
          }}
        >
          {action.word}
        </MenuItem>
      ))}
    </Menu>
  );
}
