/** Untyped: an independent geometry library, for tests only. */
declare module 'jsts/org/locationtech/jts/*';
