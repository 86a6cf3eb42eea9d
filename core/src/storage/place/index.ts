export { type CannotFit, FEWEST_DAYS, fitPlace, type FitOptions, type Hindcast, type PlaceFit, type SomethingElse } from './fitPlace.js';
export { changesByOpenings, type FittedId, type FittedPlace } from './fittedPlace.js';
export { changedPlace, driedDesiccant, leakOf, placeAlong, type PlaceChange, simulatePlace } from './simulatePlace.js';
export { usualPlace } from './usualPlace.js';
