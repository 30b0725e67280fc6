import FormHelperText from '@mui/material/FormHelperText';
import { styled } from '@mui/material/styles';
import type { ReactNode } from 'react';

interface FieldProps {
  /** Of what is typed in or chosen from. */
  readonly id: string;
  /** Null: what is typed in says itself what it is. */
  readonly label: ReactNode;
  readonly className?: string | undefined;
  /** What is wrong with what stands there, and what would be accepted. */
  readonly problem?: ReactNode;
  readonly children: ReactNode;
}

/** The id of a field's problem, for what is described by it. */
export const problemId = (id: string): string => `${id}-p`;

const Frame = styled('span')({ display: 'inline-flex', flexDirection: 'column', minWidth: 0 });
const Label = styled('label')({ fontSize: 12.5, color: 'var(--soft)' });
/** A label, what it is of, and below it what is wrong. */
export function Field({ id, label, className = '', problem, children }: FieldProps) {
  return (
    <Frame className={`field ${className}`}>
      {label !== null && <Label htmlFor={id}>{label}</Label>}
      {children}
      {problem && (
        <FormHelperText id={problemId(id)} component="span" error role="alert" className="problem">
          {problem}
        </FormHelperText>
      )}
    </Frame>
  );
}
