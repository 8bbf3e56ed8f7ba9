/** Version of the data, in the database and in a backup alike. Any change of a record’s shape, and any new kind, bumps it. */
export const DATA_VERSION = 18;
