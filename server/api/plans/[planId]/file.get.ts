import { PlanFile } from '#shared/contracts/pacing'
import { planFile } from '#usecases/pacing/files'
import { handleFile } from '../../../http/handle'

export default handleFile(PlanFile, ({ deps, actor }, { params }) => planFile(deps, actor, params.planId))
