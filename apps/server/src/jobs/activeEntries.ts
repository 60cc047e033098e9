/** Of the entries called `e` in a statement: those that nobody has taken back. */
export const IS_ACTIVE = `NOT EXISTS (SELECT 1 FROM entries w WHERE w.shop_id = e.shop_id AND w.job_id = e.job_id
  AND w.payload->>'kind' = 'withdrawn' AND w.payload->>'entry' = e.id::text)`;
