<script setup lang="ts">
import { texts } from '../words'
import KitSwitch from '../../../kit/KitSwitch.vue'
import ProgressBar from '../../../kit/ProgressBar.vue'
import { isDemo } from '../../../storage/whichWorkroom'
import { hasServer } from '../../../storage/server'
import { goToWorkroom } from '../../../storage/whichWorkroom'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import BackupPart from '../parts/BackupPart.vue'
import HealthCheck from '../parts/HealthCheck.vue'
import RestorePart from '../parts/RestorePart.vue'
import SetAsideList from '../parts/SetAsideList.vue'
import { useWorkroomPage } from '../useWorkroomPage'

const {
  preferences,
  storage,
  busy,
  stop,
  said,
  shown,
  again,
  tables,
  room,
  notify,
  speakNow,
  keep,
  PALETTES,
  LENGTHS,
  SAID,
} = useWorkroomPage()
</script>

<template>
  <div class="WorkroomPage">
    <header>
      <p class="es-kicker">{{ isDemo ? 'Demo workroom' : 'Your workroom' }}</p>
      <h1>Backup, stored data and settings</h1>
    </header>

    <section>
      <h2>Backup</h2>
      <BackupPart :is-busy="said !== ''" />
      <div class="WorkroomPage-doing">
        <p role="status" class="es-quiet">{{ said }}</p>
        <template v-if="said">
          <ProgressBar :share="shown" label="Progress" />
          <BigTarget plain label="Stop" @press="stop" />
        </template>
      </div>
      <RestorePart ref="restoring" :is-busy="said !== ''" :busy="busy" />
    </section>

    <section>
      <h2>Stored data</h2>
      <p class="es-quiet">
        {{ room }}
        {{
          storage.isPromised === null
            ? ''
            : storage.isPromised
              ? texts.browserHasPromisedKeepYour
              : texts.mayBeDeleted
        }}
      </p>
      <div class="WorkroomPage-acts">
        <BigTarget
          v-if="!storage.isPromised"
          quiet
          :label="texts.askBrowserKeepYourData"
          :disabled="said !== ''"
          @press="keep"
        />
      </div>
      <HealthCheck />
      <SetAsideList />
      <div class="WorkroomPage-acts">
        <BigTarget quiet label="Download tables (CSV)" :disabled="said !== ''" @press="tables" />
      </div>
    </section>

    <section v-if="hasServer">
      <h2>Demo</h2>
      <p class="es-quiet">
        {{ texts.monthInventedPrinterWithRunning }}
      </p>
      <div class="WorkroomPage-acts">
        <template v-if="isDemo">
          <BigTarget quiet label="Leave the demo" @press="goToWorkroom('own')" />
          <BigTarget quiet label="Restart the demo" :disabled="said !== ''" @press="again" />
        </template>
        <BigTarget v-else quiet label="Open the demo" @press="goToWorkroom('demo')" />
      </div>
    </section>

    <section>
      <h2>Tap water</h2>
      <p class="es-quiet">{{ texts.aboutWater }}</p>
      <ChoiceRow
        v-model="preferences.chosen.water.alkaline"
        label="Alkaline (above pH 7.5)"
        :options="SAID"
      />
      <ChoiceRow v-model="preferences.chosen.water.hard" label="Hard" :options="SAID" />
      <ChoiceRow v-model="preferences.chosen.water.chlorine" label="Chlorine in it" :options="SAID" />
    </section>

    <section>
      <h2>This device</h2>
      <ChoiceRow v-model="preferences.chosen.palette" label="Palette" :options="PALETTES" />
      <ChoiceRow v-model="preferences.chosen.length" label="Units of length" :options="LENGTHS" />
      <div class="WorkroomPage-switches">
        <label>
          <KitSwitch v-model="preferences.chosen.sound" label="Sounds" />
          Sounds for drops and finished clocks
        </label>
        <label>
          <KitSwitch v-model="preferences.chosen.speech" label="Spoken cues" @update:model-value="speakNow" />
          Spoken cues
        </label>
        <label>
          <KitSwitch v-model="preferences.chosen.rocking" label="Rocking reminder" />
          {{ texts.tickWhenTrayNeedsRocking }}
        </label>
        <label>
          <KitSwitch
            :model-value="preferences.chosen.notify"
            label="Notifications"
            @update:model-value="notify"
          />
          Notify when a clock finishes
        </label>
      </div>
    </section>
  </div>
</template>

<style scoped>
.WorkroomPage {
  display: grid;
  gap: var(--es-space-7);
  max-width: 51.25rem;
}

section {
  display: grid;
  gap: var(--es-space-4);
}

.WorkroomPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

.WorkroomPage-doing {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  align-items: center;
}

.WorkroomPage-switches {
  display: grid;
  gap: var(--es-space-3);
}

.WorkroomPage-switches label {
  display: flex;
  gap: var(--es-space-4);
  align-items: center;
}
</style>
