<script setup lang="ts">
import { boundText } from '@omblet/core/words'
import { common } from '#words/common'
import { rangesTable as texts } from '#words/start'
import { formatNumber, type LabelRanges } from '@omblet/core'
import FindingMark from '../../components/FindingMark.vue'

/** The least and the most that the order allows of each name, and where the draft stands between them. */
defineProps<{ ranges: LabelRanges }>()

/** 0.01 to 100 % on a rail of tens, so that small amounts can be told apart. */
const at = (percent: number) => (100 * (Math.log10(Math.max(0.01, percent)) + 2)) / 4
const TICKS = [0.01, 0.1, 1, 10, 100]
const say = (percent: number) => (percent < 0.005 ? '0' : formatNumber(percent, 2))
</script>

<template>
  <div class="table scroll" role="region" :aria-label="texts.ranges" tabindex="0">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ common.ingredient }}</th>
          <th scope="col" class="rail-head">
            <span v-for="t in TICKS" :key="t" class="mono" :style="{ left: `${at(t)}%` }">{{ t }}</span>
          </th>
          <th scope="col" class="num">{{ texts.least }}</th>
          <th scope="col" class="num">{{ texts.most }}</th>
          <th scope="col" class="num">{{ texts.draft }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in ranges.ranges" :key="r.name.key" :class="{ line: i === ranges.draftLine }">
          <th scope="row">
            <span class="with"
              ><FindingMark :severity="r.name.material ? 'fine' : 'note'" :size="14" /><span
                >{{ r.name.text
                }}<span v-if="!r.name.material" class="muted small unknown">{{
                  texts.notInTheCatalogueOn
                }}</span
                ><span v-if="r.name.confidence === 'likely'" class="muted small unknown">{{
                  texts.recognisedAs(r.name.material!.name)
                }}</span
                ><span v-if="r.name.declaredPercent !== null" class="muted small unknown">{{
                  texts.declared
                }}</span
                ><span v-if="r.name.maybe" class="muted small unknown">{{ texts.mayBeAbsent }}</span></span
              ></span
            >
          </th>
          <td class="rail-cell" :title="texts.limitedBy(boundText(r.bound))">
            <span class="rail" aria-hidden="true"
              ><i class="one" :style="{ left: `${at(1)}%` }"></i
              ><i
                class="span"
                :style="{
                  left: `${at(r.least)}%`,
                  width: `${Math.max(1.5, at(r.greatest) - at(r.least))}%`,
                }"
              ></i
              ><i class="dot" :style="{ left: `${at(r.draft)}%` }"></i
            ></span>
          </td>
          <td class="mono num">{{ say(r.least) }}</td>
          <td class="mono num">{{ say(r.greatest) }}</td>
          <td class="mono num bold">{{ say(r.draft) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
tr.line th,
tr.line td {
  border-top: 2px solid var(--accent);
}
.with {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  align-items: baseline;
  gap: 0.5rem;
  min-width: 11rem;
}
.unknown {
  margin-left: 0.5rem;
}
.num {
  width: 5rem;
}
.rail-head {
  position: relative;
  min-width: 13rem;
  height: 1.5rem;
}
.rail-head span {
  position: absolute;
  bottom: 0;
  font-size: var(--text-tiny);
  transform: translateX(-50%);
}
.rail-cell {
  min-width: 13rem;
  padding-right: 0;
}
.rail {
  position: relative;
  display: block;
  height: 12px;
  border-radius: var(--round-m);
  background: var(--track);
}
.rail i {
  position: absolute;
  top: 0;
  bottom: 0;
}
.span {
  border-radius: var(--round-m);
  background: var(--band);
}
.one {
  width: 1px;
  background: var(--line-strong);
}
.dot {
  width: 12px;
  margin-left: -6px;
  border: 2px solid var(--paper);
  border-radius: 50%;
  background: var(--accent);
}
@media (max-width: 620px) {
  .rail-cell,
  .rail-head {
    display: none;
  }
  .num {
    width: 4rem;
  }
}
</style>
