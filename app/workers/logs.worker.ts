import { serve } from './call'
import { lookAtLogs } from './lookAtLogs'

serve('reading logs', lookAtLogs)
