export {
  trailQuery,
  TRAIL_ACTS,
  TRAIL_SUBJECTS,
  type Trail,
  type TrailAct,
  type TrailEntry,
  type TrailQuery,
  type TrailSubject,
} from './schema.js';
