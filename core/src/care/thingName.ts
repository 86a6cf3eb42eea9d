import { thingFacts, type Material, type Tool } from './knowledge/materials.js';

/** What a tool or material is called. */
export const thingName = (id: Tool | Material): string => thingFacts(id).name;
