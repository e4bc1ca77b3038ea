<?php

declare(strict_types=1);

namespace App\Practice;

use App\Journal\Recorder;
use App\Models\Job;
use App\Models\Person;
use App\Photos\Photograph;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** Takes a demo job through its steps as a technician would, by the same recorder, with the clock set back. */
final class Walk
{
    public function __construct(public readonly Job $job, private readonly Person $person)
    {
    }

    /** Works from the step in hand up to, not including, the step named; all the way when null. */
    public function until(?string $stop): self
    {
        while (($step = $this->state()->stepInHand()) !== null && $step->id !== $stop) {
            $this->step();
        }

        return $this;
    }

    /** The step in hand, done and finished. */
    public function step(): self
    {
        $step = $this->state()->stepInHand();
        if ($step !== null) {
            $kind = app(StepCatalogue::class)->of($step);
            $this->passes(Answers::before($this->situation($step)));
            foreach (Answers::to($kind, $this->readCautions($step)) as [$form, $fields, $minutes]) {
                $this->record($step, $form, $fields, $minutes);
            }
            $clock = $kind->clock($this->situation($step));
            if ($step->kind === 'cured' && $clock !== null) {
                Carbon::setTestNow(Carbon::createFromTimestamp(max(now()->getTimestamp(), $clock->until) + 1));
            }
            $this->readCautions($step);
            $this->recorder()->finish($step->id, '');
        }

        return $this;
    }

    /**
     * One entry of one's own, and the minutes that pass after it.
     *
     * @param  array<string, string>  $fields
     */
    public function enter(string $form, array $fields = [], float $minutes = 1.0): self
    {
        $step = $this->state()->stepInHand() ?? throw new \LogicException('The job is signed off.');
        $this->readCautions($step);
        $this->record($step, $form, $fields, $minutes);

        return $this;
    }

    /** A drawn stand-in for a photograph: a damp patch on a grey floor, as wide as the share of the picture given. */
    public function photograph(string $caption, float $share): self
    {
        $image = imagecreatetruecolor(960, 720);
        foreach ([
            [960, 720, 96, 100, 104],
            [700, 210, 60, 62, 66],
            [960 * $share, 520 * $share, 40, 78, 82],
            [620 * $share, 300 * $share, 58, 112, 116],
        ] as $i => [$width, $height, $r, $g, $b]) {
            $colour = (int) imagecolorallocate($image, $r, $g, $b);
            $i < 2
                ? imagefilledrectangle(
                    $image,
                    0,
                    0,
                    (int) ($i === 0 ? 960 : $width),
                    (int) ($i === 0 ? 720 : $height),
                    $colour,
                )
                : imagefilledellipse($image, 470, 480, (int) $width, (int) $height, $colour);
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'aqbel');
        imagejpeg($image, $file, 90);
        $this->recorder()->photograph(
            (string) $this->state()->stepInHand()?->id,
            Photograph::from(new UploadedFile($file, 'drip.jpg', 'image/jpeg', null, true)),
            $caption,
        );
        unlink($file);

        return $this;
    }

    public function finish(?string $reason = null): self
    {
        $this->recorder()->finish((string) $this->state()->stepInHand()?->id, (string) $reason);

        return $this;
    }

    /** @param  array<string, string>  $fields */
    private function record(Step $step, string $form, array $fields, float $minutes): void
    {
        $this->recorder()->record($step->id, $form, $fields);
        $this->passes($minutes);
    }

    private function passes(float $minutes): void
    {
        Carbon::setTestNow(now()->addSeconds((int) round($minutes * 60)));
    }

    /** Reads the cautions of a step that nobody has read in this job yet; what the step comes to then. */
    private function readCautions(Step $step): Situation
    {
        $at = $this->situation($step);
        foreach (app(StepCatalogue::class)->of($step)->hazards($at) as $hazard) {
            if (! $at->job->hasAcknowledged($hazard->value)) {
                $this->recorder()->acknowledge([$hazard->value => $step->id]);
            }
        }

        return $this->situation($step);
    }

    private function situation(Step $step): Situation
    {
        return $this->state()->at($step, now()->getTimestamp());
    }

    private function state(): JobState
    {
        return $this->job->state();
    }

    private function recorder(): Recorder
    {
        return new Recorder($this->job, $this->person, (string) Str::uuid());
    }
}
