<?php

namespace Bench;

use KeepPace\Core\Scheduling\Net\Net;

/**
 * A plain calendar case as a MiniZinc model, as anyone would write it: starts in open minutes, machines as cumulative,
 * clocks as tables.
 */
final readonly class SolverModel
{
    private Net $net;

    public function __construct(\KeepPace\Core\Scheduling\Problem $problem)
    {
        $this->net = Net::of($problem);
    }

    public function text(): string
    {
        $net = $this->net;
        $far = 0;
        foreach ($net->open as $c => $open) {
            $load = 0;
            foreach ($net->centre as $x => $centre) {
                $load += $centre === $c ? $net->work[$x] : 0;
            }
            $far = max($far, $open->finish(0, $load));
        }
        $far += 2 * 10080;
        $text = "include \"cumulative.mzn\";\n";
        $byCentre = [];
        foreach ($net->open as $c => $open) {
            $last = $open->total($far);
            $done = array_map(fn (int $t): int => $open->finish($open->nextOpen(0), $t), range(0, $last));
            $done[0] = 0;
            // when open minute t begins, when t open minutes are done
            $text
                .= "array[0..{$last}] of int: begin{$c} = array1d(0..{$last}, ["
                .implode(',', array_map(fn (int $t): int => ($done[$t + 1] ?? $far + 1) - 1, range(0, $last)))
                ."]);\n";
            $text .= "array[0..{$last}] of int: done{$c} = array1d(0..{$last}, [".implode(',', $done)."]);\n";
            $byCentre[$c] = $last;
        }
        foreach ($net->step as $x => $step) {
            $c = $net->centre[$x];
            $text
                .= $c < 0
                    ? "var 0..{$far}: s{$x};\nvar int: e{$x} = s{$x} + {$net->work[$x]};\n"
                    : 'var 0..'
                        .($byCentre[$c] - $net->work[$x])
                        .": t{$x};\nvar int: s{$x} = begin{$c}[t{$x}];\n"
                        ."var int: e{$x} = done{$c}[t{$x} + {$net->work[$x]}];\n";
            $text .= "constraint s{$x} >= {$net->release[$x]};\n";
            foreach ($net->before[$x] as $y) {
                $text .= "constraint s{$x} >= e{$y};\n";
            }
        }
        foreach ($net->machines as $c => $machines) {
            $mine = array_keys($net->centre, $c, true);
            $text
                .= 'constraint cumulative(['
                .implode(',', array_map(fn (int $x): string => "t{$x}", $mine))
                .'], ['
                .implode(',', array_map(fn (int $x): int => $net->work[$x], $mine))
                .'], ['
                .implode(',', array_fill(0, count($mine), 1))
                ."], {$machines});\n";
        }
        $late = [];
        foreach ($net->jobs as $j => $job) {
            if ($job->weight > 0 && $job->due !== null) {
                $late[] = "{$job->weight} * max(0, e{$net->tails[$j][0]} - {$job->due})";
            }
        }
        $starts = implode(
            ',',
            array_map(fn (int $x): string => $net->centre[$x] < 0 ? "s{$x}" : "t{$x}", array_keys($net->step)),
        );

        return $text
            .'var int: late = '
            .implode(' + ', $late)
            .";\nsolve :: int_search([{$starts}], smallest, indomain_min) minimize late;\n"
            ."output [\"late=\\(late)\\n\"];\n";
    }
}
