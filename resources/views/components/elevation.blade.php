@props(['picture'])
<figure {{ $attributes->class('elevation') }}>
    @include('elevation.svg')
    <figcaption>
            <ul class="el-key">
                <li><span class="key-swatch key-coolant"></span>coolant</li>
                <li><span class="key-swatch key-trapped"></span>trapped air</li>
                <li><span class="key-swatch key-open"></span>open air</li>
            </ul>
            <ol class="el-ports">
                @foreach ($picture->marks() as $mark)
                    <li @class(['is-focus' => $mark->focus])>
                        <span class="el-tag el-tag-{{ $mark->kind->value }}">{{ $mark->number }}</span>
                        <span>
                            {{ $mark->label }}
                            <small>{{ $mark->kind->label() }}@if ($mark->state) · <b>{{ $mark->state }}</b>@endif @if ($mark->note) · {{ $mark->note }}@endif</small>
                        </span>
                    </li>
                @endforeach
            </ol>
    </figcaption>
</figure>
