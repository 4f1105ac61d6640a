import { useLesson } from '~/stores/lesson'
import { useMadeUp } from '~/stores/madeUp'

/** Puts a made-up class before the real one, another one each time; false where there is nothing to draw it from, or something unsaved. */
export function useWalkThrough(): () => Promise<boolean> {
  const lesson = useLesson()
  const madeUp = useMadeUp()
  return async () => {
    const plan = await lesson.settledPlan()
    return plan !== undefined && madeUp.draw(plan)
  }
}
