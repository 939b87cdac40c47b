<?php

declare(strict_types=1);

use AwakeShed\Core\Schedule\Builder;
use AwakeShed\Core\Schedule\Day\Replays;
use AwakeShed\Core\Schedule\Instance;
use AwakeShed\Core\Schedule\Mender;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\Rules;
use AwakeShed\Core\Simulation\EngineSound;
use AwakeShed\Core\Sound\Firing;
use AwakeShed\Core\Sound\Tachometer;
use AwakeShed\Core\Sound\WavFile;
use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Tests\Copies;
use AwakeShed\Tests\Core\Schedule\Problems;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\DriverManager;
use Doctrine\DBAL\Tools\DsnParser;

/*
 * The measuring half of bin/bench: php bin/lib/bench.php ADDRESS. One process, one connection, pages in turn
 * with the empty page, so that a slow moment of the machine falls on all of them alike. Time of the processor is that of
 * PHP's workers, as the kernel counts it: unlike the time until the last byte, it does not know of waiting.
 */

const ROUNDS = 60;
const WARM_UP = 8;
$asked = getenv('SHED_BENCH_JOBS');
define('MANY', false === $asked ? 20_000 : max(1000, (int) $asked));

// Finds the run folder by SHED_RUN_DIR, as everything does.
require_once dirname(__DIR__, 2).'/config/bootstrap.php';

[$address, $run] = [$argv[1] ?? '', (string) getenv('SHED_RUN_DIR')];
$url = is_string($_ENV['DATABASE_URL'] ?? null) ? $_ENV['DATABASE_URL'] : '';
$database = DriverManager::getConnection((new DsnParser(['mysql' => 'pdo_mysql']))->parse($url));
$number = static function (string $sql) use ($database): int {
    $value = $database->fetchOne($sql);

    return is_numeric($value) ? (int) $value : 0;
};

$curl = curl_init();
// Forms are taken from pages of the same origin only, as a browser says with each.
$headers = ['Origin: '.$address];
curl_setopt_array($curl, [\CURLOPT_RETURNTRANSFER => true, \CURLOPT_COOKIEFILE => '', \CURLOPT_ENCODING => 'gzip', \CURLOPT_FOLLOWLOCATION => true, \CURLOPT_HTTPHEADER => $headers]);

/**
 * @param array<string, string>|null $post
 *
 * @return array{seconds: float, bytes: int, html: string} until the last byte; bytes on the wire
 */
$get = static function (string $path, ?array $post = null) use ($curl, $address): array {
    curl_setopt_array($curl, [\CURLOPT_URL => $address.'/'.ltrim($path, '/'), \CURLOPT_HTTPGET => true]);
    if (null !== $post) {
        curl_setopt($curl, \CURLOPT_POSTFIELDS, http_build_query($post));
    }
    $html = curl_exec($curl);
    $status = curl_getinfo($curl, \CURLINFO_RESPONSE_CODE);
    if (!is_string($html) || 200 !== $status) {
        fwrite(\STDERR, "$path answered $status\n");
        exit(1);
    }

    return ['seconds' => curl_getinfo($curl, \CURLINFO_TOTAL_TIME), 'bytes' => (int) curl_getinfo($curl, \CURLINFO_SIZE_DOWNLOAD), 'html' => $html];
};

/** @param list<float> $values at least one */
function median(array $values): float
{
    sort($values);

    return $values[intdiv(count($values), 2)] ?? \NAN;
}

/** @return int ns of the processor that php-fpm's workers have used so far */
$processor = static function () use ($run): int {
    $used = 0;
    $master = trim((string) file_get_contents($run.'/php-fpm.pid'));
    foreach (explode(' ', trim((string) file_get_contents("/proc/$master/task/$master/children"))) as $worker) {
        $used += (int) @file_get_contents("/proc/$worker/schedstat");
    }

    return $used;
};

$statements = static function () use ($database): int {
    $row = $database->fetchNumeric("SHOW GLOBAL STATUS LIKE 'Com_select'");

    return is_array($row) && is_numeric($row[1] ?? null) ? (int) $row[1] : 0;
};

preg_match('/name="_csrf_token" value="([^"]+)"/', $get('/sign-in')['html'], $token);
$get('/sign-in', ['name' => 'tamsin', 'password' => 'tray-under-the-filler', '_csrf_token' => $token[1] ?? '']);

/**
 * @param array<string, string>                                            $pages      name => path; the first is the empty page
 * @param array<string, float>                                             $bars       name => times the empty page's processor time it may take
 * @param Closure(string): array{seconds: float, bytes: int, html: string} $get
 * @param Closure(): int                                                   $statements sent to the database so far
 * @param Closure(): int                                                   $processor  ns used so far
 */
function measure(string $title, array $pages, array $bars, Closure $get, Closure $statements, Closure $processor): void
{
    $times = $work = [];
    for ($round = -WARM_UP; $round < ROUNDS; ++$round) {
        foreach ($pages as $name => $path) {
            $before = $processor();
            $seconds = $get($path)['seconds'];
            // What a worker does after the answer has gone out is part of the page's price.
            usleep(3000);
            if ($round >= 0) {
                $times[$name][] = $seconds;
                $work[$name][] = ($processor() - $before) / 1e9;
            }
        }
    }
    $medians = array_map(median(...), $times);
    $used = array_map(median(...), $work);
    printf("\n%s\n  %-22s %9s %9s %8s %10s %9s\n", $title, 'page', 'until', 'processor', 'ratio', 'statements', 'weight');
    foreach ($medians as $name => $seconds) {
        $before = $statements();
        $bytes = $get($pages[$name])['bytes'];
        $ratio = $used[$name] / $used['empty page'];
        $over = isset($bars[$name]) && $ratio > $bars[$name] ? sprintf('   over %.1fx', $bars[$name]) : '';
        printf("  %-22s %6.1f ms %6.1f ms %7.2fx %10d %6.1f kB%s\n", $name, 1000 * $seconds, 1000 * $used[$name], $ratio, $statements() - $before, $bytes / 1000, $over);
    }
}

$pages = ['empty page' => '/health', 'shed' => '/', 'job' => '/jobs/9', 'gates' => '/jobs/9/gates', 'jar' => '/jobs/9/fuel/tank', 'history' => '/jobs/9/history', 'what it may be' => '/jobs/9/likely', 'a room of the line' => '/jobs/9/line/jets', 'a stage' => '/jobs/9/stages/path', 'found by name' => '/?find=mower', 'take in' => '/take-in', 'plan of the day' => '/plan', 'weeks ahead' => '/plan/ahead'];
$jobs = $number('SELECT COUNT(*) FROM job');
measure(sprintf('With %d jobs', $jobs), $pages, ['shed' => 2.5, 'job' => 4.0, 'gates' => 3.5, 'jar' => 4.0, 'history' => 3.5, 'what it may be' => 3.5, 'a room of the line' => 3.5, 'a stage' => 3.5, 'take in' => 3.5, 'plan of the day' => 3.5, 'found by name' => 3.0], $get, $statements, $processor);

$calculators = [
    'empty page' => '/health',
    'hydrolock' => '/bench/hydrolock?displacement_cc=160&compression_ratio=8.5&liquid_ml=10&drops_per_minute=6&drop_ml=0.025',
    'gas in the oil' => '/bench/fuel-in-oil?mark_ml=550&drained_ml=900&left_ml=0&error_ml=10&oil_cst_40=93&oil_cst_100=10.8&start_celsius=32',
    'flush plan' => '/bench/flush-plan?dilution=40&mark_ml=600&left_share=30&target=2&not_boiled_share=100&at_least=2&minutes_each=30',
    'jet' => '/bench/jet?bore_mm=0.70&wires_mm=0.3;0.45;0.6&altitude_m=0&celsius=59',
    'flow test' => '/bench/flow-test?displacement_cc=160&rpm=3000&seconds_each=30&cup_1_ml=90&cup_2_ml=60&cup_3_ml=30&cap_open_ml=88',
    'clean, kit, replace' => '/bench/repair?contamination=jelly&wage_per_hour=60&comeback_cost=40&clean_hours=0.75&clean_parts=3&kit_hours=1&kit_parts=12&replace_hours=0.5&replace_parts=45',
    'leak-down of a job' => '/jobs/9/bench/leak-down?regulated_psi=100&cylinder_psi=80&error_psi=1&hiss=breather',
];
// Within a job it is a page of that job, which reads it and its record as the others do.
$bars = ['leak-down of a job' => 3.5] + array_fill_keys(array_keys($calculators), 2.5);
measure('The bench calculator, opened by its address', $calculators, $bars, $get, $statements, $processor);
// As the page's own form asks, whose fields show no fault.
curl_setopt($curl, \CURLOPT_HTTPHEADER, [...$headers, 'HX-Request: true', 'HX-Boosted: true', 'Fields: stand']);
measure('The bench calculator, an edit answered', $calculators, $bars, $get, $statements, $processor);
curl_setopt($curl, \CURLOPT_HTTPHEADER, $headers);

/** @return string a needle pumped up and left alone, as a logger writes it */
function needle(int $samples, float $rate): string
{
    $lines = ['t [s],p [psi]'];
    for ($n = 0; $n < $samples; ++$n) {
        $t = $n / $rate;
        $lines[] = sprintf('%.4f,%.4f', $t, ($t < 3 ? 2.5 * $t : 6.4 * exp(-0.0015 * ($t - 3))) + 0.1 * (crc32((string) $n) / 0xFFFFFFFF - 0.5));
    }

    return implode("\n", $lines);
}

echo "\nTraces in one process (bars: 10 000 samples analysed in 50 ms; 200 000 read and analysed in 1 s and 64 MB)\n";
foreach ([[10_000, 100.0], [200_000, 1000.0]] as [$samples, $rate]) {
    $text = needle($samples, $rate);
    memory_reset_peak_usage();
    $from = hrtime(true);
    $series = SeriesFile::parse($text, PressureUnit::cases())->series;
    $read = hrtime(true);
    $needle = NeedleTrace::fromPressures($series);
    $judged = hrtime(true);
    SpeedTrace::fromSpeeds($series);
    $ended = hrtime(true);
    printf("  %7d samples: read %6.1f ms, needle %6.1f ms, speed %6.1f ms, peak %5.1f MB, %s\n", $samples, ($read - $from) / 1e6, ($judged - $read) / 1e6, ($ended - $judged) / 1e6, memory_get_peak_usage() / 1e6, $needle->verdict->value);
}

echo "\nA minute of sound, 48 kHz, two channels of 24 bits (bar 2 s and 64 MB)\n";
$second = EngineSound::engine(48_000, 6, static fn (): float => 26.0, 9)->noise(6)->wav(24, 2);
$minute = substr($second, 0, 40).pack('V', 10 * (strlen($second) - 44)).str_repeat(substr($second, 44), 10);
unset($second);
memory_reset_peak_usage();
$from = hrtime(true);
$sound = WavFile::read($minute);
$read = hrtime(true);
$heard = Tachometer::hear($sound, Firing::FourStrokeSingle);
printf("  read %6.1f ms, heard %6.1f ms, peak %5.1f MB, %s\n", ($read - $from) / 1e6, (hrtime(true) - $read) / 1e6, memory_get_peak_usage() / 1e6, $heard->verdict->value);

fwrite(\STDERR, "\n  laying out ".MANY." jobs ...\n");
$first = $number('SELECT MAX(id) FROM machine');
$copies = new Copies($database);
$many = 'seq_1_to_'.MANY.' n';
$model = $number('SELECT MIN(id) FROM job WHERE gone = 0');
$kind = "ELT(1 + n.seq % 7, 'mower', 'ride_on_mower', 'snowblower', 'generator', 'inverter_generator', 'pressure_washer', 'two_stroke_hand_tool')";
$copies->of('machine', 'id = '.$number("SELECT machine_id FROM job WHERE id = $model"), $many, ['id' => "$first + n.seq", 'kind' => $kind, 'label' => "CONCAT('Seeded machine ', n.seq)", 'owner_name' => "CONCAT('Cabin ', n.seq % 700)"]);
$day = 'CURDATE() + INTERVAL n.seq % 300 DAY';
$copies->of('job', "id = $model", $many, ['id' => "$first + n.seq", 'machine_id' => "$first + n.seq", 'taken_in_at' => 'NOW() - INTERVAL n.seq MINUTE', 'wanted_by' => $day, 'due' => $day, 'kind' => $kind,
    'search_text' => "CONCAT('seeded machine ', n.seq, ' · cabin ', n.seq % 700)", 'stand' => "ELT(1 + n.seq % 5, 'taken_in', 'stopped', 'at_gates', 'at_fuel', 'proving')", 'planned' => 'NULL']);
$entry = $number('SELECT MAX(id) FROM entry');
$aboutOil = "JSON_OBJECT('events', JSON_ARRAY(JSON_OBJECT('test', ELT(1 + m.seq % 4, 'look.oil_level', 'look.oil_smell', 'look.oil_body', 'look.oil_colour'), 'outcome', ELT(1 + m.seq % 4, 'at_mark', 'none', 'normal', 'dark'))))";
$finding = ['kind' => "'observation'", 'source' => "'bench'", 'target_id' => 'NULL', 'struck' => '0'];
$copies->of('entry', "id = $entry", $many.', seq_1_to_6 m', ['id' => "$entry + (n.seq - 1) * 6 + m.seq", 'job_id' => "$first + n.seq", 'content_kind' => "'observed'", 'content' => $aboutOil] + $finding);
// One job with 400 findings and 40 photos.
$full = $first + MANY - 1;
$entry = $number('SELECT MAX(id) FROM entry');
$copies->of('entry', 'id = '.$number('SELECT MIN(id) FROM entry'), 'seq_1_to_400 n', ['id' => "$entry + n.seq", 'job_id' => (string) $full, 'content_kind' => "'observed'", 'content' => "JSON_OBJECT('events', JSON_ARRAY(JSON_OBJECT(
    'test', ELT(1 + n.seq % 6, 'jet.pilot', 'flow.line', 'look.tap', 'look.plug', 'bowl.inside', 'needle.pressure'), 'outcome', ELT(1 + n.seq % 6, 'blocked', 'trickles', 'open_and_flows', 'dry', 'film', 'leaks'))))"] + $finding);
$copies->of('photo', 'id = '.$number('SELECT MIN(id) FROM photo'), 'seq_1_to_40 n', ['id' => $number('SELECT MAX(id) FROM photo').' + n.seq', 'job_id' => (string) $full, 'file' => "CONCAT('seeded-', n.seq, '.jpg')", 'gate' => "IF(n.seq % 2, 'oil', NULL)", 'removed_at' => 'NULL']);
// One whose carburetor lies in sixty parts.
$apart = $full - 1;
$entry = $number('SELECT MAX(id) FROM entry');
$copies->of('entry', 'id = '.$number('SELECT MIN(id) FROM entry'), 'seq_1_to_61 n', ['id' => "$entry + n.seq", 'job_id' => (string) $apart, 'content_kind' => "'move'",
    'content' => "JSON_OBJECT('events', JSON_ARRAY(), 'move', JSON_EXTRACT(IF(n.seq = 1, '{\"kind\":\"begin\",\"place\":null,\"said\":{\"type\":\"bowl_brass\"}}', CONCAT('{\"kind\":\"off\",\"place\":', n.seq - 1, ',\"said\":{\"name\":\"Part ', n.seq, '\",\"material\":\"steel\",\"orientation\":\"notch up\"}}')), '$'))"] + $finding);
$database->fetchAllAssociative('ANALYZE TABLE machine, job, entry');

$late = $first + MANY;
measure(sprintf('With %d jobs', $jobs + MANY), [
    'empty page' => '/health',
    'shed' => '/',
    'shed, far down' => '/?after='.($first + intdiv(MANY, 2)),
    'shed, stopped' => '/?stand=stopped',
    'shed, by kind' => '/?kind=generator',
    'shed, found by name' => '/?find=machine+1234',
    'job' => '/jobs/9',
    'job, the last' => "/jobs/$late",
    'job of 400 findings' => "/jobs/$full",
    'its gates' => "/jobs/$full/gates",
    'its stage' => "/jobs/$full/stages/path",
    'what it may be' => "/jobs/$full/likely",
    'mat of 60 parts' => "/jobs/$apart/carburetor",
    'putting them back' => "/jobs/$apart/carburetor/refit",
    'its passages' => "/jobs/$apart/carburetor/map",
    'gates' => '/jobs/9/gates',
    'jar' => '/jobs/9/fuel/tank',
], ['shed' => 2.5, 'job' => 4.0, 'job, the last' => 4.0, 'job of 400 findings' => 5.0, 'gates' => 3.5, 'jar' => 4.0, 'shed, found by name' => 3.0], $get, $statements, $processor);

$floor = [];
for ($round = 0; $round < ROUNDS; ++$round) {
    $from = hrtime(true);
    $ids = $database->fetchFirstColumn('SELECT id FROM job WHERE shop_id = 1 AND gone = 0 ORDER BY due, id LIMIT 25');
    $database->fetchAllAssociative('SELECT job.*, machine.label, machine.owner_name FROM job JOIN machine ON machine.id = job.machine_id WHERE job.id IN (?)', [$ids], [ArrayParameterType::INTEGER]);
    $database->fetchAllAssociative('SELECT stand, COUNT(*) FROM job WHERE shop_id = 1 AND gone = 0 GROUP BY stand');
    $floor[] = (hrtime(true) - $from) / 1e6;
}
printf("\nRaw-SQL floor of the shed with %d jobs: %.1f ms\n", $jobs + MANY, median($floor));

/*
 * The planner: how far it comes at which budget, how long that takes, how much it needs. Values are the same on every
 * machine; only the seconds are this one's.
 */
printf("\nThe planner\n  %-34s %9s %9s %10s %9s\n", 'problem', 'budget', 'seconds', 'value', 'off');
foreach ([['ft06', 2000], ['la01', 2000], ['ft10', 2000], ['ft10', 60_000], ['la21', 2000]] as [$name, $budget]) {
    [$problem, $shortest] = Problems::jobShop($name);
    $begun = hrtime(true);
    $plan = Planner::plan($problem->with(budget: $budget));
    printf("  %-34s %9d %9.2f %10d %8.1f%%\n", strtoupper($name).', shortest '.$shortest, $budget, (hrtime(true) - $begun) / 1e9, $plan->makespan(), 100 * ($plan->makespan() / $shortest - 1));
}
$shares = [];
foreach (range(1, 5) as $seed) {
    $problem = Problems::week($seed);
    $instance = new Instance($problem);
    $byDue = new Builder($instance);
    foreach ((new Rules($instance))->all() as $order) {
        foreach ($order as $job) {
            $byDue->build($instance->ofJob[$job]);
        }
        // The first of the rules is that of due dates.
        break;
    }
    $due = $byDue->rank()[1];
    $values = [];
    foreach ([2000, 20_000, 60_000] as $budget) {
        $begun = hrtime(true);
        $values[$budget] = Planner::plan($problem->with(budget: $budget))->value();
        printf("  %-34s %9d %9.2f %10d\n", 'week '.$seed.' of forty jobs, by due '.$due, $budget, (hrtime(true) - $begun) / 1e9, $values[$budget]);
    }
    $best = min($values);
    $shares[] = array_map(static fn (int $value): float => ($due - $value) / max(1, $due - $best), $values);
}
printf("  of the way from due dates to the best here: %.0f %% at 2,000 (least %.0f %%), %.0f %% at 20,000\n", 100 * array_sum(array_column($shares, 2000)) / count($shares), 100 * min([1.0, ...array_column($shares, 2000)]), 100 * array_sum(array_column($shares, 20_000)) / count($shares));
$problem = Problems::week(1);
$plan = Planner::plan($problem);
$begun = hrtime(true);
Mender::mend($problem, $plan);
printf("  mending it: %.0f ms\n", (hrtime(true) - $begun) / 1e6);
$begun = hrtime(true);
(new Replays($plan))->run(array_fill_keys(array_map(static fn (Operation $one): string => $one->id, $problem->operations), 0.3), 1);
printf("  a thousand replays of it: %.0f ms; %.0f MB at most\n", (hrtime(true) - $begun) / 1e6, memory_get_peak_usage() / 1e6);
