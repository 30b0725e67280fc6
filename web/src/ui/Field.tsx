import FormHelperText from '@mui/material/FormHelperText';
import { styled } from '@mui/material/styles';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { ReactNode } from 'react';

interface FieldProps {
  /** Of what is typed in or chosen from. */
  readonly id: string;
  readonly label: ReactNode;
  readonly hideLabel?: boolean | undefined;
  readonly className?: string | undefined;
  /** What is wrong with what stands there, and what would be accepted. */
  readonly problem?: ReactNode;
  readonly children: ReactNode;
}

/** The id of a field's problem, for what is described by it. */
export const problemId = (id: string): string => `${id}-p`;

const Frame = styled('span')({ display: 'inline-flex', flexDirection: 'column', minWidth: 0 });
const Label = styled('label')({ fontSize: 12.5, color: 'var(--soft)' });
const Unseen = styled('label')(visuallyHidden as object);

/** A label, what it is of, and below it what is wrong. */
export function Field({ id, label, hideLabel = false, className = '', problem, children }: FieldProps) {
  const Name = hideLabel ? Unseen : Label;
  return (
    <Frame className={`field ${className}`}>
      <Name htmlFor={id}>{label}</Name>
      {children}
      {problem && (
        <FormHelperText id={problemId(id)} component="span" error role="alert" className="problem">
          {problem}
        </FormHelperText>
      )}
    </Frame>
  );
}
