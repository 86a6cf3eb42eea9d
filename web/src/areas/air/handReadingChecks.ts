import { handReading, JOI_OPTIONS } from '@bright-keeper/contract';
import { joiResolver } from '@hookform/resolvers/joi';

export const handReadingChecks = joiResolver(handReading, JOI_OPTIONS);
