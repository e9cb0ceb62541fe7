/**
 * Acts of teachers at which a second one can overwrite nothing of the first, by the address of their contract, with the
 * reason. What is not named here is tried by two at once.
 */
export const NOT_SHARED: Readonly<Record<string, string>> = {
  // change nothing
  '/api/classes/:classId/read-roster': 'reads',
  '/api/desk/ripple': 'reads',
  '/api/placing': 'reads',
  '/api/plans/read-table': 'reads',
  '/api/plans/:planId/lay-work-preview': 'reads',
  '/api/read-closures': 'reads',
  '/api/read-outline': 'reads',
  '/api/recipients/standing': 'reads',
  '/api/shelf/codes': 'reads',
  '/api/shelf/draw-check': 'reads',
  '/api/shelf/read-file': 'reads',
  '/api/shelf/search': 'reads',
  '/api/work/preview': 'reads',
  '/api/work/:assignmentId/regrade-preview': 'reads',
  // make something beside what there is
  '/api/years': 'new',
  '/api/classes': 'new',
  '/api/classes/:classId/split': 'new',
  '/api/files': 'new',
  '/api/placing/lay': 'new',
  '/api/plans': 'new',
  '/api/plans/adopt': 'new',
  '/api/plans/:planId/copy': 'new',
  '/api/plans/:planId/standing': 'new',
  '/api/resources': 'new',
  '/api/resources/:resourceId/copy': 'new',
  '/api/series': 'new',
  '/api/shelf/imports': 'new',
  '/api/shelf/samples': 'new',
  '/api/work': 'new',
  // belong to one person
  '/api/classes/:classId/feed': 'own: each teacher has their own address',
  '/api/comments': 'own',
  '/api/comments/:id/forget': 'own',
  '/api/desk/pass-over': 'own: the latest step of the asker',
  '/api/desk/redo': 'own: the latest step of the asker',
  '/api/desk/undo': 'own: the latest step of the asker; refused where a colleague changed it since',
  '/api/me/end-sessions': 'own',
  '/api/me/password': 'own',
  '/api/presets': 'own',
  '/api/presets/:presetId/drop': 'own',
  '/api/sign-out': 'own',
  '/api/tray': 'own: one act on it, not the whole of it',
  // say what is to be, and do nothing where it is so
  '/api/bring-back': 'the same of both',
  '/api/classes/:classId/remove-learner': 'the same of both',
  '/api/classes/:classId/routes': 'the same of both: who turns it off has seen it on',
  '/api/guide': 'the same of both: who turns it off has seen it on',
  '/api/resources/:resourceId/drop': 'the same of both',
  '/api/resources/:resourceId/share': 'the same of both: who turns it off has seen it on',
  '/api/shelf/imports/:importId/take-back': 'the same of both',
  '/api/take-away': 'the same of both',
  // add up
  '/api/classes/:classId/roster': 'adds who is not there',
  '/api/evidence/texts/:assignmentId': 'adds; who has handed in is refused',
  '/api/plans/:planId/lay-work': 'lays what a class does not have yet',
  '/api/plans/:planId/offers': 'an offer that was declined can still be taken',
  '/api/work/:assignmentId/give': 'adds: two who give a try each have given two',
  // keep no value that could be lost
  '/api/classes/:classId/reset-password':
    'a secret made anew: nobody could know the one before, and the last one opens',
}
