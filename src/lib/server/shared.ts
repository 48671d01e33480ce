import type { ApiDeps } from './api';
import { ComputePool } from './pool';
import { BodyReader } from './read-body';
import { threadFile } from './thread-file';

let made: ApiDeps | null = null;

/** The one pool and the one reader of this server, made with the first request that computes. */
export const apiDeps = (): ApiDeps =>
	(made ??= { pool: new ComputePool({ filename: threadFile() }), bodies: new BodyReader() });
