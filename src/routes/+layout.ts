// All records live in the browser; the server sends the shell.
export const ssr = false;
export const prerender = false;
