// What runs in each thread of the pool. It is built into a file of its own, beside the server.
import { compute } from './compute';

export default compute;
