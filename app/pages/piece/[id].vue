<template>
  <p class="said">Opening …</p>
</template>
