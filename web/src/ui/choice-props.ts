/** What is chosen from: a key and its words. */
export type Options<T extends string> = readonly (readonly [T, string])[];
export interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: Options<T>;
  /** The same options under headings. */
  readonly groups?: readonly (readonly [string, Options<T>])[];
  readonly onChange: (value: T) => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly disabled?: boolean;
}
