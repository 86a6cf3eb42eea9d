export { recordErrors } from './errors.js';
export { REPORT_LIMITS, type ReportKeyTold, reportQuery, type ReportQuery, signedReport } from './schema.js';
