/** One shrunk picture takes some 200 kB; more than this is none of ours. */
export const MAX_PHOTO_BYTES = 3_000_000;
/** Larger archives are refused before they are unpacked: some 400 pictures. */
export const MAX_ZIP_BYTES = 120_000_000;

/** A backup of all homes with their pictures, and what it may hold unpacked. */
export const MAX_BACKUP_BYTES = 500_000_000;
/** Homes of one backup. */
export const MAX_BACKUP_HOMES = 500;

/** Tells an archive from a text by its first bytes. */
export const isZip = (bytes: Uint8Array): boolean =>
	bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;
