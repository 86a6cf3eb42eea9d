/** Spans of time in each other: a civil day of 24 hours, whatever a clock is set to in between. */
export const MS_PER_SECOND = 1000;
export const MS_PER_MINUTE = 60 * MS_PER_SECOND;
export const MS_PER_HOUR = 60 * MS_PER_MINUTE;
export const MS_PER_DAY = 24 * MS_PER_HOUR;
export const S_PER_HOUR = 3600;
export const S_PER_DAY = 24 * S_PER_HOUR;
export const MINUTES_A_DAY = 1440;
export const HOURS_A_DAY = 24;
export const DAYS_A_WEEK = 7;
