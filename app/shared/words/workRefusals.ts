import type { WorkRefusal } from '#core/work'

/** Why an assignment is not changed, and what to do. */
export function sayWorkRefusal(r: WorkRefusal): string {
  switch (r.code) {
    case 'work/already-begun':
      return (
        'Learners have begun one of these pieces, so it can neither be left out nor exchanged. ' +
        'Put it back, or withdraw the work and assign the other piece anew.'
      )
    case 'work/has-begun':
      return (
        `${r.learners === 1 ? 'A learner has' : `${r.learners} learners have`} begun this, so it is not taken ` +
        'back by undo. Open the work to withdraw it or to change it for who has not begun.'
      )
    case 'work/changed-since':
      return `“${r.title}” was changed since. Open it and change what you want to be different.`
    case 'work/no-pieces':
      return 'Nothing is chosen to do. Add a piece.'
    case 'work/piece-twice':
      return 'Two pieces have the same name within this work. Reload the page and add one of them again.'
    case 'work/piece-for-nobody':
      return 'A piece that is for some only names nobody. Take it out, or give it to everybody.'
    case 'work/scored-by-hand':
      return 'You score this question yourself. Change what you gave for it instead.'
    case 'work/not-its-key':
      return 'Only which answer is right can be changed here. Reload the page and choose again.'
    case 'work/no-key':
      return 'Say which answer is right.'
    case 'work/nothing-left':
      return 'Somebody was asked nothing else, and would have no score. Give all points to everybody instead.'
    case 'work/in-two-teams':
      return 'A learner is in two teams. Take them out of one.'
    case 'work/past-the-year':
      return `“${r.title}” would leave the school year. Move it by fewer meetings, or leave it out.`
    case 'work/too-many-presets':
      return `Nobody keeps more than ${r.most} presets. Take one away first, or use a name that is there.`
    case 'work/bad-link':
      return 'The meeting link has to be a whole address that begins with https:// and holds no password.'
    case 'work/other-task-not-alike':
      return (
        `“${r.title}” cannot stand in for this piece: one has questions and the other has none, so that their ` +
        'results have nothing in common. Choose another task.'
      )
    case 'work/withdrawn':
      return 'This work is withdrawn. Publish it again before changing it.'
    case 'work/not-whole':
      return (
        'This work goes to classes of others, too. Change the dates and limits of your own classes; ' +
        'what all share is for its author to change.'
      )
  }
}
