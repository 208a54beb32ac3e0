/** Births so far outside the usual range are still of the service. Rule of thumb. */
export const GESTATION_SLACK_DAYS = 4;
/** Young carried over the usual range by so many days are still believed. Rule of thumb. */
export const OVERDUE_DAYS = 15;
