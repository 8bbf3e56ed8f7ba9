/** Version of the computing core. Every answer of the server and every exported file names it. */
export const CORE_VERSION = '0.2.0';
