export { freeMinutes, merged, readBusy, type Busy, type BusyReading, type CalendarProblem } from './busy.js';
export { instantAt, localMinute } from './timeZone.js';
export { iCalendarInSteps, toICalendar, type CalendarEntry, type CalendarOptions } from './write.js';
