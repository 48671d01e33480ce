import { serveHelp } from './helper';
import { handleSearch } from './search.protocol';

serveHelp(handleSearch);
