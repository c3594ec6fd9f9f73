<template>
  <div class="door">
    <header>
      <svg width="42" height="44" viewBox="0 0 42 44" aria-hidden="true">
        <g stroke="#b4cc72" stroke-width="2.4" stroke-linecap="round">
          <path d="M8 24V17M14 24V11M20 24V7M26 24V12M32 24V9M37 24V18" />
        </g>
        <path d="M2 25.5H40" stroke="#e9e0ce" stroke-width="3" />
        <g stroke="#8c7c64" stroke-width="2" stroke-linecap="round"><path d="M12 31v5M21 31v10M30 31v6" /></g>
      </svg>
      <b class="num">{{ t('shell.upperSill2') }}</b>
      <span>{{ t('shell.overseedingAndRenovationBy') }}</span>
    </header>
    <main><slot /></main>
  </div>
</template>

<style scoped>
header {
  background: #211a12;
  color: #e9e0ce;
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 16px 24px;
  border-bottom: 7px solid #5f503c;
  flex-wrap: wrap;
}
header b {
  font-size: 24px;
}
header span {
  color: #bfb197;
  font-size: 14px;
}
main {
  max-width: 560px;
  padding: 36px 24px 60px;
  margin: 0 auto;
}
@media (max-width: 700px) {
  main {
    padding: 24px 16px;
  }
}
</style>
