/** Channel on which a commit is announced to every server process. */
export const CHANNEL = 'badger_entries';
/** Channel on which the end of a session, or another holder, is announced to every server process. */
export const SESSIONS_CHANNEL = 'badger_sessions';
