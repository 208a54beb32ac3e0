export * from './dueByPlan';
export * from './dueByRhythm';
export * from './dueOfCarrying';
export * from './dueOfMarks';
export * from './dueOfRemedies';
export * from './dueOfYoung';
export * from './dueRow';
export * from './joinDue';
