/** What is the matter with the store, and what becomes of what is typed meanwhile. */
export const storeTrouble = {
  full: 'The disk is full, so nothing new can be stored. Make room on it. What you typed is not lost: it is kept where you typed it.',
  held: 'Another programme holds the store, so nothing can be stored just now. What you typed is not lost: it is kept where you typed it.',
  'read-only':
    'The store cannot be written to: its file or its disk is read-only. What you typed is not lost: it is kept where you typed it.',
  disk: 'The disk does not answer as it should, so nothing can be stored. Look at it soon. What you typed is not lost: it is kept where you typed it.',
  damaged:
    'The store is damaged. Stop Serrata and put a backup back. What you typed is not lost: it is kept where you typed it.',
  away: 'The machine that the store is on cannot be reached, so nothing can be stored just now. What you typed is not lost: it is kept where you typed it.',
  refused:
    'The machine that the store is on lets Serrata in no more: its token does not count. Set SERRATA_DB_TOKEN and start again. What you typed is not lost: it is kept where you typed it.',
} as const;
