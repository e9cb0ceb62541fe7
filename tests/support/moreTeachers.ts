import { copyFileSync } from 'node:fs'
import { join } from 'node:path'
import { asId } from '#core/base'
import type { ClassId, UserId } from '#core/base'
import { addTeacher, addUsers, userBySignIn } from '#db/repositories'
import { openStore } from '#db/client'
import { DEMO } from './server'
import { MIGRATIONS, aFolder } from './world'

/**
 * The demo with two teachers more: `cora` beside the teacher of 8 A, and `oskar`, who is the office and teaches nobody;
 * answers the file.
 */
export async function withMoreTeachers(): Promise<string> {
  const file = join(aFolder(), 'teachers.db')
  copyFileSync(DEMO, file)
  const store = await openStore({ url: file, migrationsFolder: MIGRATIONS })
  await store.write(async (tx) => {
    const known = await userBySignIn(tx, 'tomasz')
    if (!known) throw new Error('the demo has no colleague')
    const like = (signIn: string, office: boolean) => ({
      ...known,
      id: asId<UserId>(signIn),
      signIn,
      name: signIn,
      office,
    })
    await addUsers(tx, [like('cora', false), like('oskar', true)])
    const [room] = await tx.all<{ id: ClassId }>("select id from classes where name = 'Science 8 A'")
    await addTeacher(tx, room?.id as ClassId, asId<UserId>('cora'))
  })
  await store.settle()
  store.close()
  return file
}
