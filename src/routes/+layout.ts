// Everything is computed and kept in the browser; the server only sends the program.
export const ssr = false;
export const prerender = false;
