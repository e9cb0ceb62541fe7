import { TakeFileBack } from '#shared/contracts/files'
import { takeFileBack } from '#usecases/learning/handFiles'
import { handle } from '../../../../../http/handle'

export default handle(TakeFileBack, ({ deps, actor }, { params, body }) =>
  takeFileBack(deps, actor, { ...params, ...body }),
)
