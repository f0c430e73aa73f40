<template>
  <!-- Fields of one group, three in a row where there is room. -->
  <div class="FieldGrid"><slot /></div>
</template>

<style scoped>
.FieldGrid {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: var(--es-space-1) var(--es-space-6);
  align-items: start;
}

@media (width <= 51.25em) {
  .FieldGrid {
    grid-template-columns: 1fr;
  }
}
</style>
