import { expose } from 'comlink';
import { practiceApi } from './practice';

expose(practiceApi);
