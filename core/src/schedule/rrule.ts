import * as packed from 'rrule';

export type { Frequency as RuleFrequency, Options as RuleOptions } from 'rrule';

// The package says it is a module but ships CommonJS: in Node its names hang on `default`, in a bundler they do not.
export const { Frequency, RRule } = (Reflect.get(packed, 'default') as typeof packed | undefined) ?? packed;
