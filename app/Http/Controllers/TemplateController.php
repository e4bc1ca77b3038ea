<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Subject;
use App\Audit\Trail;
use App\Http\Requests\PlanRequest;
use App\Journal\OneWriter;
use App\Models\JobTemplate;
use App\Models\Right;
use Aqbel\Core\InvalidField;
use Illuminate\Http\RedirectResponse;

/** Plans that a shop makes again and again, kept under a name. */
final class TemplateController extends Controller
{
    private const LONGEST_NAME = 60;

    /** More than fit above the plan are no help (common practice, no source). */
    private const MOST = 12;

    public function store(PlanRequest $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        $name = trim(self::text($request, 'template'));
        if ($name === '' || mb_strlen($name) > self::LONGEST_NAME) {
            throw new InvalidField('template', 'Enter a name for it, at most 60 letters.');
        }
        $choices = array_filter(
            array_map(
                fn (string $field) => self::text($request, $field),
                array_combine(JobTemplate::FIELDS, JobTemplate::FIELDS),
            ),
            fn (string $chosen) => $chosen !== '',
        );
        OneWriter::run(function () use ($request, $name, $choices): void {
            $here = JobTemplate::query()->where('name', $name)->first();
            if ($here === null && JobTemplate::query()->count() >= self::MOST) {
                throw new InvalidField(
                    'template',
                    'There are '.self::MOST.' already. Take one away under Shop, Rules, first.',
                );
            }
            Trail::note(self::person($request), Subject::Rule, $name, Trail::between($here->choices ?? [], $choices));
            JobTemplate::query()->updateOrCreate(['name' => $name], ['choices' => $choices]);
        });

        return redirect(PlanRequest::backTo($request->except('template')))->with(
            'notice',
            "“{$name}” is kept. It stands above every plan.",
        );
    }

    public function destroy(PlanRequest $request, JobTemplate $template): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        OneWriter::run(function () use ($request, $template): void {
            Trail::note(
                self::person($request),
                Subject::Rule,
                $template->name,
                Trail::between($template->choices, array_map(fn () => '', $template->choices)),
            );
            $template->delete();
        });

        return redirect('/shop/rules')->with('notice', "“{$template->name}” is taken away.");
    }
}
