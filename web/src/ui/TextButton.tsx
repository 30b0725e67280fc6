import Link, { type LinkProps } from '@mui/material/Link';

/** Pressed like a button where a sentence or a line goes on; it looks like the links beside it. */
export const TextButton = (props: Omit<LinkProps<'button'>, 'component'>) => (
  <Link component="button" type="button" {...props} />
);
