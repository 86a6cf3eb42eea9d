/**
 * What settles a duty: seeing certain surfaces (a look at them, or a clean that ended with an answer there), a deed of
 * its own, or the state of the world.
 */
export type SettledBy = { seeing: Sight } | { deed: 'tick' | 'frame' | 'gel' | 'salt-test' | 'wash' } | { state: string };

/** What has to be seen of a thing. */
export type Sight = 'inside' | 'faces' | 'cells' | 'outside' | 'everything' | 'growth' | 'tacky' | 'what-was-left' | 'what-waited';
