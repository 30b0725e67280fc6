import type { ObjectSchema } from 'joi';
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form';

/** A form is held against a schema that is loaded when it is sent. Each fault is a sentence beside its field. */
export const lateSchema =
  <T extends FieldValues>(load: () => Promise<{ readonly default: ObjectSchema<T> }>): Resolver<T> =>
  async (values) => {
    const { default: schema } = await load();
    const { error } = schema.validate(values, { abortEarly: false, allowUnknown: true });
    if (!error) return { values, errors: {} };
    const faults = error.details.map(({ path, message, type }) => [path.join('.'), { type, message }]);
    return { values: {}, errors: Object.fromEntries(faults) as FieldErrors<T> };
  };
