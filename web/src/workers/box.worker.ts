import { expose } from 'comlink';
import { boxApi } from './box';

expose(boxApi);
