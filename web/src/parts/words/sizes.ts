const MEGABYTE = 1024 * 1024;

/** How large a file is, as people say it. */
export const sizeOf = (bytes: number) =>
  bytes < MEGABYTE ? `${Math.max(Math.round(bytes / 1024), 1)} kB` : `${(bytes / MEGABYTE).toFixed(1)} MB`;
