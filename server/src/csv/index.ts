export { decode, decoded, type Encoding } from './decode.js';
export { guessDelimiter } from './delimiter.js';
export { unguarded } from './formula.js';
export { type CsvFault, type CsvRow, csvRows, csvStream } from './rows.js';
export { BYTE_ORDER_MARK, csvInSlices, csvLines } from './write.js';
