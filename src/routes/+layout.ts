/** Everything lives in the browser's own store: nothing to render on the server. */
export const ssr = false;
