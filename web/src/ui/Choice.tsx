import InputBase from '@mui/material/InputBase';
import NativeSelect from '@mui/material/NativeSelect';
import useMediaQuery from '@mui/material/useMediaQuery';
import { lazy, Suspense, useId } from 'react';
import type { ChoiceProps, Options } from './choice-props.ts';
import { Field } from './Field.tsx';
import { PHONE } from './theme.ts';

const ChoiceBelow = lazy(() => import('./ChoiceBelow.tsx'));

/** More than a phone shows above its lower edge. */
const LONG = 8;

/** The browser's own list, at home with a keyboard and a screen reader; a long one opens from below on a phone. */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  return props.options.length > LONG ? <LongChoice {...props} /> : <ShortChoice {...props} />;
}

function LongChoice<T extends string>(props: ChoiceProps<T>) {
  const phone = useMediaQuery(PHONE, { noSsr: true });
  const list = <ShortChoice {...props} />;
  return phone ? (
    <Suspense fallback={list}>
      <ChoiceBelow {...(props as unknown as ChoiceProps<string>)} />
    </Suspense>
  ) : (
    list
  );
}

function ShortChoice<T extends string>(props: ChoiceProps<T>) {
  const { label, value, options, groups, onChange, hideLabel, className, disabled } = props;
  const id = useId();
  const list = (of: Options<T>) =>
    of.map(([key, words]) => (
      <option key={key} value={key}>
        {words}
      </option>
    ));
  return (
    <Field id={id} label={hideLabel ? null : label} className={className}>
      <NativeSelect
        input={<InputBase fullWidth />}
        id={id}
        value={value}
        disabled={disabled}
        inputProps={{ 'aria-label': hideLabel ? label : undefined }}
        onChange={(event) => onChange(event.target.value as T)}
      >
        {groups?.map(([heading, of]) => (
          <optgroup key={heading} label={heading}>
            {list(of)}
          </optgroup>
        )) ?? list(options)}
      </NativeSelect>
    </Field>
  );
}
