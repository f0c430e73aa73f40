<template>
  <!-- Fields of one group, three in a row where there is room. -->
  <div class="FieldGrid"><slot /></div>
</template>

<style scoped>
.FieldGrid {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 2px 24px;
  align-items: start;
}

@media (width <= 820px) {
  .FieldGrid {
    grid-template-columns: 1fr;
  }
}
</style>
