import { computed } from 'vue'
import { recipesOf } from '@core/shelf/recipes'
import { treatments } from '@library/index'
import { useWorkroom } from './workroom.store'

/** Every solution that the processes and treatments of this workroom ask for. */
export function useRecipes() {
  const workroom = useWorkroom()
  return computed(() => recipesOf([...workroom.allProcesses, ...Object.values(treatments)]))
}
